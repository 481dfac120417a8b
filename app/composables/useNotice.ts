import { useToast } from 'primevue/usetoast'

/** Short messages at the head of the page: what was done, and what comes of it. Their place is fetched when there is something to say. */
const wanted = ref(false)
let opened: Promise<void> | undefined
let stands: () => void = () => {}

export function useNotice() {
  const toast = useToast()
  async function tell(summary: string, detail: string, life = 5000): Promise<void> {
    opened ??= new Promise((done) => (stands = done))
    wanted.value = true
    await opened
    toast.add({ severity: 'secondary', summary, detail, life })
  }
  return { wanted: readonly(wanted), stands: (): void => stands(), tell }
}
