import { useToast } from 'primevue/usetoast'

/** Short messages at the head of the page: what was done, and what comes of it. */
export function useNotice() {
  const toast = useToast()
  const tell = (summary: string, detail: string, life = 5000): void =>
    toast.add({ severity: 'secondary', summary, detail, life })
  return { tell }
}
