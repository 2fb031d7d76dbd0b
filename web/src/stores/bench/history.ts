import { computed, ref, type Ref } from 'vue'
import type { BenchGoals } from '../../api/types'

/** One drag of a slider is one step back. */
const SLID = new Set(['cut', 'keep_sweet'])
const ONE_DRAG_MS = 700
const MOST_STEPS = 50

/** The wish with its steps back and forth; it knows nothing of plans. */
export function wishHistory(goals: Ref<BenchGoals | undefined>) {
  const past = ref<BenchGoals[]>([])
  const future = ref<BenchGoals[]>([])
  let lastSlid = ''
  let lastSlidAt = 0

  function begin(): void {
    past.value = []
    future.value = []
  }

  function change(changes: Partial<BenchGoals>): void {
    if (!goals.value) return
    const slid = Object.keys(changes).join()
    const isSameDrag = SLID.has(slid) && slid === lastSlid && Date.now() - lastSlidAt < ONE_DRAG_MS
    lastSlid = slid
    lastSlidAt = Date.now()
    if (!isSameDrag) past.value = [...past.value.slice(1 - MOST_STEPS), goals.value]
    future.value = []
    goals.value = { ...goals.value, ...changes }
  }

  /** Goes one step from one pile to the other; says whether there was one. */
  function step(from: Ref<BenchGoals[]>, to: Ref<BenchGoals[]>): boolean {
    const next = from.value.at(-1)
    if (!next || !goals.value) return false
    lastSlid = ''
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, goals.value]
    goals.value = next
    return true
  }

  return {
    begin,
    change,
    undo: () => step(past, future),
    redo: () => step(future, past),
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
  }
}
