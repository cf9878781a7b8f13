/** The address at which a page of a site is seen. */
export const seenPage = (site: string, path: string): string => site + path.split('/').map(encodeURIComponent).join('/')
