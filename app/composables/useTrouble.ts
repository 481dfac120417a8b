/** Work that the server may refuse: why it was refused last, in words; empty where it went well. */
export function useTrouble() {
  const trouble = ref('')
  async function tried(work: () => Promise<unknown>): Promise<void> {
    try {
      await work()
      trouble.value = ''
    } catch (error) {
      trouble.value = (error as Error).message
    }
  }
  return { trouble, tried }
}
