/** A day as 2026-03-09 in the reader's own time zone. */
export function isoDay(date: Date): string {
  const two = (n: number) => String(n).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`
}

export function addDays(day: string, count: number): string {
  const date = new Date(`${day}T12:00:00`)
  date.setDate(date.getDate() + count)
  return isoDay(date)
}

export function daysBetween(first: string, last: string): string[] {
  const found: string[] = []
  for (let day = first; day <= last && found.length < 4000; day = addDays(day, 1)) found.push(day)
  return found
}

const weekday = new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric' })
const full = new Intl.DateTimeFormat(undefined, { weekday: 'long', day: 'numeric', month: 'long' })

export function shortDay(day: string): string {
  return weekday.format(new Date(`${day}T12:00:00`))
}

const brief = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })

/** "25 Nov", or today and yesterday by name. */
export function briefDay(day: string): string {
  const today = isoDay(new Date())
  if (day === today) return 'today'
  if (day === addDays(today, -1)) return 'yesterday'
  return brief.format(new Date(`${day}T12:00:00`))
}

export function longDay(day: string): string {
  const today = isoDay(new Date())
  if (day === today) return 'Today'
  if (day === addDays(today, -1)) return 'Yesterday'
  return full.format(new Date(`${day}T12:00:00`))
}
