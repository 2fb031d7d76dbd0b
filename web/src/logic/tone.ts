let context: AudioContext | undefined

/** Three soft strokes of a bell, made here; silent where the browser forbids sound. */
export function ring(): void {
  try {
    context ??= new AudioContext()
    const start = context.currentTime
    for (const [n, pitch] of [660, 880, 660].entries()) {
      const tone = context.createOscillator()
      const loudness = context.createGain()
      const at = start + n * 0.5
      tone.frequency.value = pitch
      loudness.gain.setValueAtTime(0.0001, at)
      loudness.gain.exponentialRampToValueAtTime(0.4, at + 0.02)
      loudness.gain.exponentialRampToValueAtTime(0.0001, at + 0.45)
      tone.connect(loudness).connect(context.destination)
      tone.start(at)
      tone.stop(at + 0.5)
    }
  } catch {
    // The page may not sound before it is touched: what rings is shown as well.
  }
}
