import {many} from '../../lib/when'

const MINUTE = 60_000

/** A time that is left, as people say it: days and hours, hours and minutes, or minutes. */
export function timeLeft(milliseconds: number): string {
  const minutes = Math.floor(milliseconds / MINUTE)
  const hours = Math.floor(minutes / 60)
  const days = Math.floor(hours / 24)
  const two = (more: string, less: string, rest: number) => (rest === 0 ? more : `${more} and ${less}`)
  if (days > 0) return two(many(days, 'day'), many(hours % 24, 'hour'), hours % 24)
  if (hours > 0) return two(many(hours, 'hour'), many(minutes % 60, 'minute'), minutes % 60)
  return minutes > 0 ? many(minutes, 'minute') : 'less than a minute'
}
