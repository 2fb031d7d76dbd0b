export type DecimalSign = '.' | ','

/** A language that writes numbers with that sign, and groups thousands by the other. */
const LANGUAGE: Record<DecimalSign, string> = { '.': 'en', ',': 'de' }
let whole: Intl.NumberFormat
let tenths: Intl.NumberFormat
let short: Intl.NumberFormat
let sign: DecimalSign = '.'

/** Writes all numbers from now on with the household's decimal sign. */
export function writeWith(wanted: DecimalSign): void {
  sign = wanted
  const language = LANGUAGE[sign]
  whole = new Intl.NumberFormat(language, { maximumFractionDigits: 0 })
  tenths = new Intl.NumberFormat(language, { minimumFractionDigits: 1, maximumFractionDigits: 1 })
  short = new Intl.NumberFormat(language, { maximumFractionDigits: 1 })
}
writeWith('.')

/** The household's decimal sign, and the one that groups thousands. */
export const signs = (): { decimal: DecimalSign; grouping: DecimalSign } => ({
  decimal: sign,
  grouping: sign === '.' ? ',' : '.',
})

export type HeatScale = 'c' | 'f'
let scale: HeatScale = 'c'

/** Tells all heats from now on by the household's scale. */
export function tellHeatIn(wanted: HeatScale): void {
  scale = wanted
}

/** The household's scale, and both ways of one heat or difference between °C and it. */
export const heatScale = (): {
  unit: string
  from: (celsius: number, isDifference?: boolean) => number
  to: (told: number, isDifference?: boolean) => number
} =>
  scale === 'c'
    ? { unit: '°C', from: (celsius) => celsius, to: (told) => told }
    : {
        unit: '°F',
        from: (celsius, isDifference) => 1.8 * celsius + (isDifference ? 0 : 32),
        to: (told, isDifference) => (told - (isDifference ? 0 : 32)) / 1.8,
      }

/** An oven's heat: "180 °C", or "355 °F" to the five degrees of a dial. */
export function ovenHeat(celsius: number): string {
  const { unit, from } = heatScale()
  return `${unit === '°C' ? Math.round(celsius) : 5 * Math.round(from(celsius) / 5)} ${unit}`
}

/** What a probe tells, or so much of a difference: to the degree. */
export function heat(celsius: number, isDifference = false): string {
  const { unit, from } = heatScale()
  return `${Math.round(from(celsius, isDifference))} ${unit}`
}

/** A true minus, and no minus before a zero. */
function signed(text: string): string {
  return text.replace('-', '−').replace(/^−(0([.,]0)?)$/, '$1')
}

/** 12 -> "12", 8.64 -> "8.6": tenths below ten. */
export function number(value: number): string {
  return signed(Math.abs(value) < 9.95 ? short.format(value) : whole.format(value))
}

export function grams(value: number): string {
  return `${number(value)} g`
}

/** Between what a figure lies: "5.8 to 6.7". */
export function span(low: number, high: number, isEnergy = false): string {
  const shown = (value: number): string => (isEnergy ? String(Math.round(value)) : number(value))
  return `${shown(low)} to ${shown(high)}`
}

/** Always one decimal: for figures that stand under one another. */
export function gramsTenths(value: number): string {
  return `${signed(tenths.format(value))} g`
}

export function kcal(value: number): string {
  return `${signed(whole.format(value))} kcal`
}

/** How much less energy: "−75 kcal", or "+36 kcal" when it grew. */
export function kcalChange(before: number, after: number): string {
  return `${after - before >= 0.5 ? '+' : ''}${kcal(after - before)}`
}

export function percent(share: number): string {
  return `${signed(whole.format(100 * share))} %`
}

/** How much less: "−56 %", or "+3 %" when it grew. */
export function change(before: number, after: number): string {
  if (before <= 0) return after > 0 ? 'new' : '0 %'
  const share = after / before - 1
  return `${share > 0.004 ? '+' : ''}${percent(share)}`
}

export function plural(count: number, unit: string): string {
  if (count === 1) return unit
  if (/[^aeiou]y$/.test(unit)) return `${unit.slice(0, -1)}ies`
  if (unit === 'loaf') return 'loaves'
  return /(s|x|ch|sh)$/.test(unit) ? `${unit}es` : `${unit}s`
}

/** "half", "a third", "40 %": how a share is said in the goal sentence. */
export function shareWords(share: number): string {
  const named: [number, string][] = [
    [1, 'all of it'],
    [0.75, 'three quarters'],
    [0.67, 'two thirds'],
    [0.5, 'half'],
    [0.33, 'a third'],
    [0.25, 'a quarter'],
  ]
  return named.find(([value]) => Math.abs(value - share) < 0.006)?.[1] ?? percent(share)
}

/** "nearly as sweet": how much sweetness is kept. */
export function sweetWords(keep: number): string {
  if (keep >= 1.03) return `${percent(keep)} as sweet`
  if (keep >= 0.97) return 'as sweet'
  if (keep >= 0.88) return 'nearly as sweet'
  if (keep >= 0.78) return 'a little less sweet'
  if (keep >= 0.65) return 'clearly less sweet'
  return 'far less sweet'
}

/** "honey and date paste" */
export function list(names: string[]): string {
  if (names.length < 2) return names.join('')
  return `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}`
}
