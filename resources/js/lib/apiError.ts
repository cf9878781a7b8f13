/** What went wrong, in words that can be shown as they are. */
export class ApiError extends Error {
  constructor(
    message: string,
    readonly status: number,
    /** what is wrong with each field that was sent */
    readonly fields: Record<string, string[]> = {},
  ) {
    super(message)
  }
}

/** Whether the server was not reached at all: what was sent can be sent again. */
export const isUnreached = (error: unknown): boolean => error instanceof ApiError && error.status === 0
