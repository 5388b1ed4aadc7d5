/** How counts, minutes and waits are said on paper pages. */
import { differenceInCalendarDays, format, formatDistanceToNowStrict } from 'date-fns'
import * as words from '~~/core/critique/words'

/** The core's own words, under the names pages know them by. */
export const countWord = words.count
export const capital = words.capital

const FIVES: Readonly<Record<number, string>> = {
  15: 'fifteen',
  20: 'twenty',
  25: 'twenty-five',
  30: 'thirty',
  35: 'thirty-five',
  40: 'forty',
  45: 'forty-five',
  50: 'fifty',
  55: 'fifty-five'
}

/** "two hours and forty minutes", to five minutes. */
export function minutesInWords(minutes: number): string {
  const rounded = Math.round(minutes / 5) * 5,
    hours = Math.floor(rounded / 60),
    rest = rounded % 60
  const h = hours ? `${countWord(hours)} hour${hours === 1 ? '' : 's'}` : ''
  const m = rest ? `${FIVES[rest] ?? countWord(rest)} minutes` : ''
  return [h, m].filter(Boolean).join(' and ') || 'no time'
}

/** "four days". */
export const waitedWords = (iso: string): string =>
  formatDistanceToNowStrict(new Date(iso)).replace(/^\d+/, n => countWord(Number(n)))
export const dayWords = (iso: string): string => format(new Date(iso), 'd MMMM')

export function dueWords(day: string): string {
  const days = differenceInCalendarDays(new Date(`${day}T12:00`), new Date())
  const when =
    days === 0
      ? 'today'
      : days === 1
        ? 'tomorrow'
        : days > 0
          ? `in ${days} days`
          : `${-days} day${days === -1 ? '' : 's'} ago`
  return `${format(new Date(`${day}T12:00`), 'd MMMM')}, ${when}`
}
