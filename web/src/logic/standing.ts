import type { BenchGoals } from '../api/types'
import { list } from './format'

/** A base that a plan offers: for the dessert where it is had whole, and the pattern that each component would follow. */
export type Base = { key: string; words: string; parts: Record<string, string>; is_whole: boolean }
/** A version of the household's own that a component could follow. */
export type OwnPattern = { key: string; name: string; component: string }
type Item = { key: string; name: string }
/** What one component alone can be made on. */
export type Part = { component: string; legend: string; chosen: string; items: Item[] }

const AS_IT_IS: Item = { key: '', name: 'as it is, on its own base' }

/** What the dessert as a whole can be made on. */
export function wholes(goals: BenchGoals, bases: Base[]): Item[] {
  const offered = bases.filter((base) => base.is_whole).map(({ key, words }) => ({ key, name: words }))
  return withChosen([AS_IT_IS, ...offered], goals.base ?? '')
}

/** What each component alone can be made on: a base, or a pattern of one's own; of a dessert of one component only the own ones. */
export function parts(goals: BenchGoals, bases: Base[], own: OwnPattern[]): Part[] {
  const offered = bases.flatMap(({ words, parts }) =>
    Object.entries(parts).map(([component, key]) => ({ component, key, name: words })),
  )
  const mine = own.map((pattern) => ({ ...pattern, name: `as ${pattern.name}` }))
  const components = new Set([...offered, ...mine].map((item) => item.component))
  Object.keys(goals.recasts).forEach((component) => components.add(component))
  const items = [...(components.size > 1 ? offered : []), ...mine]
  return [...components]
    .map((component) => {
      const chosen = goals.recasts[component] ?? ''
      const found = items.filter((item) => item.component === component)
      const legend = components.size > 1 ? `Only its ${component || 'base'}` : 'As one of your own'
      return { component, legend, chosen, items: withChosen([AS_IT_IS, ...distinct(found)], chosen) }
    })
    .filter((part) => part.items.length > 1)
}

/** How a dessert is made, for the goal sentence: "on oats", "its frosting of yoghurt and soft cheese", "as it is". */
export function madeWords(goals: BenchGoals, bases: Base[], own: OwnPattern[]): string {
  if (goals.base) return nameOf(wholes(goals, bases), goals.base)
  const said = parts(goals, bases, own)
    .filter((part) => part.chosen)
    .map((part) => (part.component ? `its ${part.component} ` : '') + nameOf(part.items, part.chosen))
  return said.length ? list(said) : 'as it is'
}

/** What changes in a wish for a base (none where empty); what was set by hand was set for another batter. */
export function onBase(key: string): Partial<BenchGoals> {
  return { base: key || null, recasts: {}, locks: {}, amounts: [] }
}

/** What changes in a wish when one component is made otherwise, or again on its own base where the key is empty. */
export function partOnBase(goals: BenchGoals, component: string, key: string): Partial<BenchGoals> {
  const made = Object.entries({ ...goals.recasts, [component]: key }).filter(([, pattern]) => pattern)
  return { ...onBase(''), recasts: Object.fromEntries(made) }
}

function nameOf(items: Item[], key: string): string {
  return items.find((item) => item.key === key)?.name ?? ''
}

/** What stays choosable although the plan that stands no longer offers it. */
function withChosen(items: Item[], chosen: string): Item[] {
  const isThere = !chosen || items.some((item) => item.key === chosen)
  return isThere ? items : [...items, { key: chosen, name: chosen.replace(/_/g, ' ') }]
}

/** Two bases may come to one pattern in a component: the first says it. */
function distinct(items: Item[]): Item[] {
  return items.filter((item, n) => items.findIndex((other) => other.key === item.key) === n)
}
