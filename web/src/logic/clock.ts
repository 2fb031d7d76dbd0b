import type { MethodStep, PlacedTask } from '../api/types'

/** Seconds as a kitchen clock shows them: 9:05, 1:20:00; what has rung counts up behind a plus. */
export function countdown(seconds: number): string {
  const whole = Math.abs(seconds < 0 ? Math.floor(seconds) : Math.ceil(seconds))
  const hours = Math.floor(whole / 3600)
  const minutes = Math.floor((whole % 3600) / 60)
  const rest = String(whole % 60).padStart(2, '0')
  const text = hours ? `${hours}:${String(minutes).padStart(2, '0')}:${rest}` : `${minutes}:${rest}`
  return seconds < 0 ? `+${text}` : text
}

/** Minutes as words: 50 min, 1 h 20 min, 4 h. */
export function minutesText(minutes: number): string {
  const hours = Math.floor(minutes / 60)
  const rest = Math.round(minutes % 60)
  if (!hours) return `${rest} min`
  return rest ? `${hours} h ${rest} min` : `${hours} h`
}

export function waitText(wait: NonNullable<MethodStep['wait']>): string {
  const span =
    wait.low_min === wait.high_min || wait.high_min - wait.low_min > 180
      ? minutesText(wait.low_min)
      : `${minutesText(wait.low_min).replace(/ min$/, '')} to ${minutesText(wait.high_min)}`
  return `${wait.kind} ${span}`
}

/** The time of a local moment, with its weekday where it is not the day that all is served. */
export function clockTime(iso: string, servedOn: string): string {
  const time = iso.slice(11, 16)
  if (iso.slice(0, 10) === servedOn.slice(0, 10)) return time
  return `${new Date(iso).toLocaleDateString('en-GB', { weekday: 'short' })} ${time}`
}

export interface Bar {
  task: PlacedTask
  left: number
  hands: number
  width: number
  row: number
}

const MINUTE = 60_000

/** Where each task lies on the line from the first start to serving, in parts of it; long waits are drawn shorter, so that work stays readable. */
export function bars(tasks: readonly PlacedTask[]): {
  bars: Bar[]
  marks: { at: number; iso: string }[]
  /** The minutes, from the first start on, that lie at a part of the line. */
  minutesAt: (part: number) => number
} {
  const moments = [...new Set(tasks.flatMap((t) => [t.start, t.end]))].sort()
  const place = new Map<string, number>()
  let at = 0
  let before = ''
  for (const moment of moments) {
    if (before) at += squeezed((Date.parse(moment) - Date.parse(before)) / MINUTE)
    place.set(moment, at)
    before = moment
  }
  const whole = at || 1
  const where = (moment: string): number => (place.get(moment) ?? 0) / whole
  const rows: number[] = []
  const found = tasks.map((task) => {
    const from = where(task.start)
    const to = where(task.end)
    let row = rows.findIndex((end) => end <= from + 1e-9)
    if (row < 0) row = rows.push(0) - 1
    rows[row] = to
    const minutes = (Date.parse(task.end) - Date.parse(task.start)) / MINUTE || 1
    return {
      task,
      left: from,
      width: to - from,
      hands: Math.min(task.hands_min / minutes, 1) * (to - from),
      row,
    }
  })
  const marks: { at: number; iso: string }[] = []
  let last = -1
  for (const moment of moments) {
    if (last < 0 || where(moment) - last > 0.11) {
      last = where(moment)
      marks.push({ at: last, iso: moment })
    }
  }
  const first = Date.parse(moments[0] ?? '')
  const knots = moments.map((moment) => ({
    at: where(moment),
    minutes: (Date.parse(moment) - first) / MINUTE,
  }))
  function minutesAt(part: number): number {
    const after = knots.findIndex((knot) => knot.at >= part)
    const low = knots[Math.max((after < 0 ? knots.length : after) - 1, 0)]
    const high = after < 0 ? undefined : knots[after]
    if (!low || !high || high.at <= low.at) {
      // Beyond the ends the line goes on as it began: a minute is as long as in a short wait.
      const edge = part <= 0 ? knots[0] : knots.at(-1)
      return (edge?.minutes ?? 0) + (part - (edge?.at ?? 0)) * whole
    }
    return low.minutes + ((part - low.at) / (high.at - low.at)) * (high.minutes - low.minutes)
  }
  return { bars: found, marks, minutesAt }
}

/** A local time so many minutes later, as the server writes it. */
export function later(iso: string, minutes: number): string {
  const at = new Date(Date.parse(`${iso.slice(0, 16)}:00Z`) + Math.round(minutes / 5) * 5 * MINUTE)
  return at.toISOString().slice(0, 16)
}

function squeezed(minutes: number): number {
  return minutes <= 45 ? minutes : 45 + 12 * Math.log2(minutes / 45)
}
