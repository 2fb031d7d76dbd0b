import type { PlannedBake } from '../api/types'

/** So many planned bakes are kept at most: the last ones. */
const MOST = 12

/** The planned bakes with one more, in place of an older plan of the same version. */
export function withPlanned(bakes: PlannedBake[], bake: PlannedBake): PlannedBake[] {
  return [...bakes.filter((one) => one.version !== bake.version), bake].slice(-MOST)
}

/** The planned bakes without those of a version. */
export function withoutPlanned(bakes: PlannedBake[], version: number): PlannedBake[] {
  return bakes.filter((one) => one.version !== version)
}
