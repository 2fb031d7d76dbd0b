import { onBeforeUnmount, onMounted, watch } from 'vue'
import { useNotices } from '../stores/notices'
import { useWorktop } from '../stores/worktop'
import { ring } from '../logic/tone'

/** Keeps the timers going while a page is open: loads them, counts, and rings; what slept meanwhile asks the server anew. */
export function useTimers(): void {
  const worktop = useWorktop()
  const notices = useNotices()
  let beat = 0
  const rung = new Set<string>()
  const known = new Set<number>()

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
    () =>
      worktop.timers.flatMap((timer) =>
        (timer.repeats ? timer.rung : timer.left_s <= 0) ? [`${timer.id} ${timer.rung}`] : [],
      ),
    (keys) => {
      for (const key of keys.filter((one) => !rung.has(one))) {
        rung.add(key)
        const timer = worktop.timers.find((one) => `${one.id} ${one.rung}` === key)
        // A round that was over before this page was opened rings no more.
        if (timer?.repeats && !known.has(timer.id)) continue
        ring()
        if (timer && 'Notification' in window && Notification.permission === 'granted')
          new Notification(timer.repeats ? timer.name : `${timer.name} is done`)
      }
    },
  )
  watch(
    () => worktop.timers.map((timer) => timer.id),
    (ids) => ids.forEach((id) => known.add(id)),
    { flush: 'post' },
  )
}
