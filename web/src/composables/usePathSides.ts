import { ref, watch } from 'vue'
import type { PathSide } from '../api/types'
import { useBench } from '../stores/bench'
import { useNotices } from '../stores/notices'

const ASK_AFTER_MS = 300

/** The paths side by side, for the wish on the bench or each for its own usual one, while they are looked at. */
export function usePathSides() {
  const bench = useBench()
  const notices = useNotices()
  const isOpen = ref(false)
  const isSame = ref(true)
  const isWorking = ref(false)
  const sides = ref<PathSide[]>([])
  let timer: ReturnType<typeof setTimeout> | undefined

  async function load(): Promise<void> {
    if (!bench.goals || !isOpen.value) return
    isWorking.value = true
    try {
      const { cut, keep_sweet, definition, ...others } = bench.goals
      const wish = isSame.value ? { ...others, cut, keep_sweet, definition } : others
      // What sweetens and seasons, and how much of it, belongs to the path that is on the bench.
      sides.value = await bench.sides({
        ...wish,
        cupboard: null,
        amounts: [],
        most_new: null,
        flavours: null,
      })
    } catch (error) {
      notices.complain(error)
    } finally {
      isWorking.value = false
    }
  }

  watch(
    () => [bench.goals, bench.recipe, isSame.value],
    () => {
      clearTimeout(timer)
      timer = setTimeout(() => void load(), ASK_AFTER_MS)
    },
  )
  watch(isOpen, load)
  return { isOpen, isSame, isWorking, sides }
}
