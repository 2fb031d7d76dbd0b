import { draft, keepDraft } from './draft'

/** A bake that was planned on this device: which version, when it is on the table and when to begin. */
export interface PlannedBake {
  recipe: number
  version: number
  title: string
  label: string
  serve: string
  start: string
}

const KEY = 'planned'
const MOST = 12

export function plannedBakes(): PlannedBake[] {
  const kept = draft<PlannedBake[]>(KEY, [])
  return Array.isArray(kept) ? kept : []
}

export function keepPlanned(bake: PlannedBake): void {
  const others = plannedBakes().filter((one) => one.version !== bake.version)
  keepDraft(KEY, [...others, bake].slice(-MOST))
}

export function dropPlanned(version: number): void {
  keepDraft(
    KEY,
    plannedBakes().filter((one) => one.version !== version),
  )
}
