import { defineStore } from 'pinia'
import { reaches, type Role } from '../../shared/roles'
import type { Session } from '../../shared/people'
import { request } from '../utils/request'

/** Who is signed in here; where nobody has to sign in, whoever sits at the computer may do everything. */
export const useSession = defineStore('session', () => {
  const session = ref<Session>({ asked: false, person: null })
  const loaded = ref(false)
  const classroom = useClassroom()

  async function load(): Promise<void> {
    session.value = await request<Session>('/api/session')
    loaded.value = true
  }
  /** Whether whoever is here may do what needs a role. */
  const may = (needs: Role): boolean => {
    const { asked, person } = session.value
    return !asked || (person !== null && reaches(person.role, needs))
  }
  async function begun(): Promise<void> {
    await load()
    await classroom.load()
  }
  async function signIn(name: string, passphrase: string): Promise<void> {
    await request('/api/session', { method: 'POST', body: { name, passphrase } })
    await begun()
  }
  async function useCode(code: string, passphrase: string): Promise<void> {
    await request('/api/session/code', { method: 'POST', body: { code, passphrase } })
    await begun()
  }
  async function becomeKeeper(name: string, passphrase: string): Promise<void> {
    await request('/api/people/first', { method: 'POST', body: { name, passphrase } })
    await begun()
  }
  /** Signs out; the page begins anew, so that nothing of what was seen stays on it. */
  async function signOut(): Promise<void> {
    await request('/api/session', { method: 'DELETE' })
    location.assign('/sign-in')
  }
  /** The session has ended. */
  const lost = (): void => void (session.value = { asked: true, person: null })
  return { lost, session, loaded, load, may, signIn, useCode, becomeKeeper, signOut }
})
