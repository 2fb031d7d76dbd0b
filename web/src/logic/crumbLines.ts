import type { Metric } from '../api/types'

/** A crumb line is 200 wide; the tolerated stretch always fills its middle 84. */
export const LINE = { width: 200, middle: 100, half: 42 }

export type Mark = 'round' | 'diamond' | 'triangle'

export interface CrumbLine {
  key: string
  name: string
  words: string
  mark: Mark
  markX: number
  ringX: number
  /** Where desserts of this kind usually lie, from left to right; null where nothing tells. */
  norm: [number, number] | null
  says: string
}

function place(deviation: number, band: number[]): number {
  const [low, high] = [band[0] ?? -1, band[1] ?? 1]
  const reach = deviation > 0 ? deviation / high : deviation / -low
  return LINE.middle + Math.min(Math.max(reach, -2.25), 2.25) * LINE.half
}

const MARKS: Record<Metric['level'], Mark> = { balanced: 'round', strained: 'diamond', off: 'triangle' }
const LEVELS: Record<Metric['level'], string> = {
  balanced: 'within what it tolerates',
  strained: 'at the edge of what it tolerates',
  off: 'beyond what it tolerates',
}

/** One line of the picture. The original is the ring; where less sweetness was asked for, it stands to the right. */
export function crumbLine(metric: Metric): CrumbLine {
  const original =
    metric.key === 'sweetness' && metric.after > 0
      ? (metric.before / metric.after) * (1 + metric.deviation) - 1
      : 0
  return {
    key: metric.key,
    name: metric.name,
    words: metric.words,
    mark: MARKS[metric.level],
    markX: place(metric.deviation, metric.band),
    ringX: place(original, metric.band),
    norm: metric.norm && [place(metric.norm[0] ?? 0, metric.band), place(metric.norm[1] ?? 0, metric.band)],
    says: `${metric.name}: ${metric.words}, ${LEVELS[metric.level]}`,
  }
}
