/** The marked words of the goal sentence. */
import type { BenchGoals } from '../api/types'
import { grams, list } from './format'

interface Named {
  key: string
  name: string
}

const nameIn = (known: Named[], key: string): string => known.find((item) => item.key === key)?.name ?? key

/** A food by its name, as far as the choices know it. */
export function foodName(choices: { sweeteners: Named[] }, key: string): string {
  return choices.sweeteners.find((item) => item.key === key)?.name ?? key.replaceAll('_', ' ')
}

/** What sweetens instead: the chosen ones by name. */
export function withWords(cupboard: string[] | null, sweeteners: Named[], hasAny: boolean): string {
  if (!hasAny) return 'nothing in its place'
  if (cupboard === null) return 'whatever suits'
  return cupboard.length ? list(cupboard.map((key) => nameIn(sweeteners, key))) : 'nothing in its place'
}

/** Who eats it: people, then diets, then allergens. */
export function eaterWords(
  goals: { diets: string[]; avoid: string[]; eaters: string[] },
  known: { diets: Named[]; allergens: Named[]; eaters: Named[] },
): string {
  const names = [
    ...goals.eaters.map((key) => nameIn(known.eaters, key)),
    ...goals.diets.map((key) => nameIn(known.diets, key)),
    ...goals.avoid.map((tag) => `no ${nameIn(known.allergens, tag)}`),
  ]
  return names.length ? list(names) : 'anyone'
}

/** What a portion may hold at most. */
export function limitWords(goals: BenchGoals): string {
  const { most_energy_kcal: energy, most_free_sugar_g: freeSugar, most_cost: cost, confidence } = goals
  const parts = [
    energy && `${Math.round(energy)} kcal`,
    freeSugar !== null && `${grams(freeSugar)} of free sugar`,
    cost !== null && `${cost.toFixed(2)} in price`,
  ].filter((part): part is string => Boolean(part))
  const words = parts.length ? `at most ${list(parts)}` : 'whatever it holds'
  return confidence ? `${words}, ${Math.round(100 * confidence)} times in 100` : words
}

/** The keys with one more, or without it where it was among them. */
export function toggled(keys: string[], key: string): string[] {
  return keys.includes(key) ? keys.filter((k) => k !== key) : [...keys, key]
}
