import type { Schemas } from '../api/types'

type Point = Schemas['FrontierPointOut']

/** The picture is 320 by 150, with room for words at its edges. */
export const CURVE = { width: 320, height: 150, left: 34, right: 22, top: 12, bottom: 26 }

export interface CurvePoint extends Point {
  x: number
  y: number
}

function across(cut: number): number {
  return CURVE.left + cut * (CURVE.width - CURVE.left - CURVE.right)
}

/** Sweetness from 40 % at the foot to 110 % at the top. */
function up(sweetness: number): number {
  const share = (Math.min(Math.max(sweetness, 0.4), 1.1) - 0.4) / 0.7
  return CURVE.height - CURVE.bottom - share * (CURVE.height - CURVE.top - CURVE.bottom)
}

export function place(points: Point[]): CurvePoint[] {
  return points.map((point) => ({ ...point, x: across(point.cut), y: up(point.sweetness) }))
}

export const GRID = [0.5, 0.75, 1].map((share) => ({ share, y: up(share) }))
export const FEET = [0.2, 0.4, 0.6, 0.8, 1].map((share) => ({ share, x: across(share) }))

export function xOf(cut: number): number {
  return across(cut)
}

export function yOf(sweetness: number): number {
  return up(sweetness)
}

/** Which of the points lies nearest to a place across the picture. */
export function nearest(points: CurvePoint[], x: number): number {
  return points.reduce(
    (best, point, n) => (Math.abs(point.x - x) < Math.abs((points[best]?.x ?? 0) - x) ? n : best),
    0,
  )
}
