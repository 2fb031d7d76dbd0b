/** Geometry of the sun arc: from the limit, top left, down to the horizon, right. */
export const SKY = { width: 400, height: 212, horizon: 168, top: 34, left: 84, right: 346 }

export interface SunPlace {
  x: number
  y: number
}

/** Where the sun of *grams* stands; the arc's top is *most* grams, its foot zero. */
export function sunAt(grams: number, most: number): SunPlace {
  const share = Math.min(Math.max(grams / most, 0), 1)
  return {
    x: SKY.left + (SKY.right - SKY.left) * Math.pow(1 - share, 0.8),
    y: SKY.horizon - share * (SKY.horizon - SKY.top),
  }
}

/** The grams at the arc's top: the limit, or the larger sun if that stands above it. */
export function mostGrams(limit: number, ...grams: number[]): number {
  return Math.max(limit, ...grams) * 1.02
}

/** The way the sun takes as it sinks, as an SVG path. */
export function arcPath(): string {
  const points = Array.from({ length: 25 }, (_, n) => sunAt(24 - n, 24))
  return `M ${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join(' L ')}`
}
