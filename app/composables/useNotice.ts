/** Short messages in the head of the screen, where they cover no control. Their stand is only fetched when there is something to say. */
const wanted = ref(false)
let standing: Promise<void> | undefined
let stands: () => void = () => {}

export function useNotice() {
  const toast = useToast()
  async function tell(summary: string, detail: string, life = 5000): Promise<void> {
    standing ??= new Promise((done) => (stands = done))
    wanted.value = true
    await standing
    toast.add({ severity: 'secondary', summary, detail, life })
  }
  return { wanted: readonly(wanted), stands: (): void => stands(), tell }
}
