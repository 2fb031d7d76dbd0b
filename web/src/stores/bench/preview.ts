import type { BenchGoals, Plan, PlanLine, Schemas } from '../../api/types'

type Preview = Schemas['PreviewOut']

/** What a slider or a typed amount moves: followed at once by a preview, before the plan proper. */
const FOLLOWED = new Set<string>([
  'cut',
  'keep_sweet',
  'locks',
  'amounts',
  'most_energy_kcal',
  'most_free_sugar_g',
  'most_cost',
])

export const isFollowed = (changes: Partial<BenchGoals>): boolean =>
  Object.keys(changes).every((key) => FOLLOWED.has(key))

/** Whether a preview must know of a line: it came in, or moves by pieces as eggs do. */
const isSupport = (line: PlanLine): boolean =>
  line.position === null || (Math.abs(line.after_g - line.before_g) > 0.01 && line.after_g > 0)

/** What a plan proper brought in: a preview moves its amounts and must not start from its own. */
export function supportOf(plan: Plan): Schemas['SupportIn'][] {
  return plan.lines
    .filter(isSupport)
    .map((line) => ({ component: line.component, ingredient: line.ingredient, grams: line.after_g }))
}

/** The last plan with a preview's amounts and figures in it. */
export function overlaid(plan: Plan, preview: Preview): Plan {
  const amounts = new Map(preview.lines.map((x) => [`${x.position}|${x.component}|${x.ingredient}`, x]))
  return {
    ...plan,
    lines: plan.lines.map((line) => {
      const now = amounts.get(`${line.position}|${line.component}|${line.ingredient}`)
      return now ? { ...line, after_g: now.after_g, household: now.household } : line
    }),
    balance: preview.balance,
    after: { ...plan.after, per_serving: preview.per_serving },
    savings_per_serving: preview.savings_per_serving,
  }
}
