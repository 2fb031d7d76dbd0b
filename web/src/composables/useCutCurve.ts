import { computed, ref, watch } from 'vue'
import type { FrontierPoint, Relaxation } from '../api/types'
import { useBench } from '../stores/bench'
import { useNotices } from '../stores/notices'

const DRAW_AFTER_MS = 500
const NUDGE_AFTER_MS = 600

/** What the curve of cuts shows, asked for while it is open and the wish rests. */
export function useCutCurve() {
  const bench = useBench()
  const notices = useNotices()
  const isOpen = ref(false)
  const isWorking = ref(false)
  const isLooking = ref(false)
  const points = ref<FrontierPoint[]>([])
  const further = ref<Relaxation[]>([])
  /** All wishes but the cut: the curve stays while only the cut moves. */
  const others = computed(() => JSON.stringify({ ...bench.goals, cut: null, recipe: bench.recipe?.id }))
  let drawing: ReturnType<typeof setTimeout> | undefined
  let nudging: ReturnType<typeof setTimeout> | undefined

  async function draw(): Promise<void> {
    if (!isOpen.value) return
    isWorking.value = true
    try {
      const wish = others.value
      const found = await bench.frontier()
      if (wish === others.value) points.value = found
    } catch (error) {
      notices.complain(error)
    } finally {
      isWorking.value = false
    }
  }

  /** What going a little further costs. */
  async function nudge(): Promise<void> {
    if (!isOpen.value) return
    const wish = bench.goals
    isLooking.value = true
    try {
      const found = await bench.nudges()
      if (wish === bench.goals) further.value = found
    } catch (error) {
      notices.complain(error)
    } finally {
      if (wish === bench.goals) isLooking.value = false
    }
  }

  watch(
    () => bench.goals,
    () => {
      further.value = []
      clearTimeout(nudging)
      nudging = setTimeout(() => void nudge(), NUDGE_AFTER_MS)
    },
  )
  watch(others, () => {
    clearTimeout(drawing)
    drawing = setTimeout(() => void draw(), DRAW_AFTER_MS)
  })
  watch(isOpen, () => {
    if (isOpen.value && !points.value.length) void draw()
    if (isOpen.value && !further.value.length) void nudge()
  })
  return { isOpen, isWorking, isLooking, points, further }
}
