import { onBeforeUnmount, onMounted, watch } from 'vue'
import { useNotices } from '../stores/notices'
import { useWorktop } from '../stores/worktop'
import { ring } from '../logic/tone'

/** Keeps the timers going while a page is open: loads them, counts, and rings; what slept meanwhile asks the server anew. */
export function useTimers(): void {
  const worktop = useWorktop()
  const notices = useNotices()
  let beat = 0
  const rung = new Set<number>()

  function refresh(): void {
    if (document.visibilityState === 'visible') worktop.loadTimers().catch(notices.complain)
  }

  onMounted(() => {
    refresh()
    beat = window.setInterval(worktop.tick, 500)
    document.addEventListener('visibilitychange', refresh)
  })
  onBeforeUnmount(() => {
    window.clearInterval(beat)
    document.removeEventListener('visibilitychange', refresh)
  })
  watch(
    () => worktop.timers.filter((timer) => timer.left_s <= 0).map((timer) => timer.id),
    (ids) => {
      for (const id of ids.filter((id) => !rung.has(id))) {
        rung.add(id)
        const timer = worktop.timers.find((one) => one.id === id)
        ring()
        if (timer && 'Notification' in window && Notification.permission === 'granted')
          new Notification(`${timer.name} is done`)
      }
    },
  )
}
