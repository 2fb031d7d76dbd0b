import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, ask } from '../api/client'
import type { Device } from '../api/types'

/** The scale and the probe of the worktop, followed by server-sent events while a screen looks at them. */
export const useDevices = defineStore('devices', () => {
  const told = ref<Partial<Record<Device['name'], Device>>>({})
  let stream: EventSource | undefined
  let followers = 0

  const scale = computed(() => told.value.scale)
  const probe = computed(() => told.value.probe)

  function hear(event: MessageEvent<string>): void {
    const device = JSON.parse(event.data) as Device
    told.value = { ...told.value, [device.name]: device }
  }

  /** The stream ends from time to time and begins again by itself; without a server nothing is live. */
  function lost(): void {
    told.value = Object.fromEntries(
      Object.entries(told.value).map(([name, device]) => [name, { ...device, state: 'gone' as const }]),
    )
  }

  async function follow(): Promise<void> {
    followers += 1
    if (stream) return
    const { devices } = await ask(api.GET('/api/devices', {}))
    told.value = Object.fromEntries(devices.map((device) => [device.name, device]))
    if (!devices.length || stream || !followers) return
    stream = new EventSource('/api/devices/stream')
    stream.addEventListener('device', hear as EventListener)
    let waiting: number | undefined
    stream.onerror = () => (waiting ??= window.setTimeout(lost, 3000))
    stream.onopen = () => {
      window.clearTimeout(waiting)
      waiting = undefined
    }
  }

  function leave(): void {
    followers = Math.max(followers - 1, 0)
    if (followers) return
    stream?.close()
    stream = undefined
  }

  async function tare(): Promise<void> {
    await ask(api.POST('/api/devices/scale/tare', {}))
  }

  return { scale, probe, follow, leave, tare }
})
