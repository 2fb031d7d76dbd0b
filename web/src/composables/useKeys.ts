import { onBeforeUnmount, onMounted } from 'vue'

export type KeyMap = Record<string, (event: KeyboardEvent) => void>

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.matches('input, textarea, select, [role=slider]') || target.isContentEditable)
  )
}

/** Listens for single keys while nothing is typed into. "mod+z" stands for Ctrl or Command with z. */
export function useKeys(keys: KeyMap): void {
  function listen(event: KeyboardEvent): void {
    const mod = event.ctrlKey || event.metaKey
    const name = (mod ? 'mod+' : '') + (event.shiftKey && event.key.length > 1 ? 'shift+' : '') + event.key
    const act = keys[name] ?? keys[name.toLowerCase()]
    if (!act || event.altKey || isTyping(event.target)) return
    event.preventDefault()
    act(event)
  }
  onMounted(() => window.addEventListener('keydown', listen))
  onBeforeUnmount(() => window.removeEventListener('keydown', listen))
}
