import { addDays, isoDay } from './days'

export type View = 'day' | 'week' | 'month' | 'year'

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric' })
const SHORT = new Intl.DateTimeFormat('en-GB', { month: 'short' })

function lastOf(year: number, month: number): string {
  return isoDay(new Date(year, month, 0, 12))
}

/** The first and the last day of the day, month or year that a day lies in. */
export function spanOf(view: View, day: string): { since: string; until: string } {
  const [year, month] = [Number(day.slice(0, 4)), Number(day.slice(5, 7))]
  if (view === 'day') return { since: day, until: day }
  if (view === 'week') {
    const monday = addDays(day, -((new Date(`${day}T12:00:00`).getDay() + 6) % 7))
    return { since: monday, until: addDays(monday, 6) }
  }
  if (view === 'month') return { since: `${day.slice(0, 7)}-01`, until: lastOf(year, month) }
  return { since: `${day.slice(0, 4)}-01-01`, until: `${day.slice(0, 4)}-12-31` }
}

/** A day of the span before or after. */
export function moved(view: View, day: string, by: number): string {
  if (view === 'day') return addDays(day, by)
  if (view === 'week') return addDays(day, 7 * by)
  const [year, month] = [Number(day.slice(0, 4)), Number(day.slice(5, 7))]
  return view === 'month' ? isoDay(new Date(year, month - 1 + by, 1, 12)) : `${year + by}${day.slice(4, 8)}01`
}

export function monthName(day: string): string {
  return MONTH.format(new Date(`${day.slice(0, 7)}-15T12:00:00`))
}

/** "Mar" of 2026-03. */
export function monthOf(key: string): string {
  return SHORT.format(new Date(`${key}-15T12:00:00`))
}
