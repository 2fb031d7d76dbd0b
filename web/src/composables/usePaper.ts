import { onBeforeUnmount, watch } from 'vue'
import type { Settings } from '../api/types'

const SIZES = { a4: 'A4', letter: 'letter' }

/** Lets what is printed fit the household's paper while a page is open. */
export function usePaper(settings: () => Settings): void {
  const style = document.createElement('style')
  document.head.append(style)
  watch(
    () => settings().paper,
    (paper) => (style.textContent = `@page { size: ${SIZES[paper]}; margin: 14mm 15mm; }`),
    { immediate: true },
  )
  onBeforeUnmount(() => style.remove())
}
