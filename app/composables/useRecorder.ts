/** Records a little speech with the microphone of this device. */
export function useRecorder() {
  /** A recording ends by itself after so long. */
  const LONGEST_MS = 20_000
  const state = ref<'idle' | 'waiting' | 'recording'>('idle')
  const possible = computed(
    () =>
      typeof MediaRecorder !== 'undefined' && typeof navigator !== 'undefined' && navigator.mediaDevices !== undefined,
  )
  let recorder: MediaRecorder | null = null
  const ended = useTimeoutFn(() => stop(), LONGEST_MS, { immediate: false })

  /** Ends what is recorded; what still waits for the microphone is given up. */
  function stop(): void {
    ended.stop()
    if (recorder?.state === 'recording') recorder.stop()
    state.value = 'idle'
  }
  /**
   * Records until `stop`, and gives the sound; nothing where it was stopped before the microphone was ready.
   * @throws Error with a plain sentence where there is no microphone, or it may not be used.
   */
  async function record(): Promise<Blob | null> {
    state.value = 'waiting'
    const stream = await navigator.mediaDevices.getUserMedia({ audio: true }).catch((error: Error) => {
      state.value = 'idle'
      throw new Error(
        error.name === 'NotAllowedError'
          ? 'This browser may not use the microphone here. Allow it beside the address, and try again.'
          : 'No microphone was found on this device.',
        { cause: error },
      )
    })
    try {
      if (state.value !== 'waiting') return null
      const made = new MediaRecorder(stream)
      recorder = made
      const parts: Blob[] = []
      made.ondataavailable = ({ data }) => parts.push(data)
      return await new Promise<Blob>((resolve) => {
        made.onstop = () => resolve(new Blob(parts, { type: made.mimeType }))
        made.start()
        state.value = 'recording'
        ended.start()
      })
    } finally {
      state.value = 'idle'
      ended.stop()
      for (const track of stream.getTracks()) track.stop()
    }
  }
  onScopeDispose(stop)
  return { state, possible, record, stop }
}
