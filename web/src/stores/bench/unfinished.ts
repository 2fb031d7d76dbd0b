import type { BenchGoals, Recipe } from '../../api/types'
import { draft, keepDraft } from '../../logic/draft'

/** A wish as the browser keeps it over a reload, and the recipe it was made for. */
interface Unfinished {
  title: string
  lines: number
  /** The kept version that it began with, 0 for none. */
  from: number
  goals: BenchGoals
}

const linesOf = (recipe: Recipe): number => recipe.versions[0]?.lines.length ?? 0

/** The wish that was last on the bench for this recipe, if it is still the same one. */
export function unfinished(recipe: Recipe, from: number): BenchGoals | undefined {
  const kept = draft<Unfinished | null>(`bench.${recipe.id}`, null)
  const isSame = kept?.title === recipe.title && kept.lines === linesOf(recipe)
  return isSame && (!from || kept.from === from) ? { ...kept.goals } : undefined
}

export function keepUnfinished(recipe: Recipe, from: number, goals: BenchGoals): void {
  keepDraft(`bench.${recipe.id}`, { title: recipe.title, lines: linesOf(recipe), from, goals })
}
