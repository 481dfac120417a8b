import { isRepresentation, type RepresentationId } from '../../core/door'

/** How many of the materials used last are kept at hand. */
const LATELY = 4

const ids = {
  read: (text: string): RepresentationId[] => {
    try {
      const json: unknown = JSON.parse(text)
      return Array.isArray(json) ? json.filter((id) => typeof id === 'string' && isRepresentation(id)) : []
    } catch {
      return []
    }
  },
  write: (list: RepresentationId[]): string => JSON.stringify(list),
}

/** What is pinned and what was used lately, as this browser keeps it. */
export function useShelf() {
  const pinned = useLocalStorage<RepresentationId[]>('sett.pinned', [], { serializer: ids })
  const lately = useLocalStorage<RepresentationId[]>('sett.lately', [], { serializer: ids })
  const used = (id: RepresentationId): void =>
    void (lately.value = [id, ...lately.value.filter((other) => other !== id)].slice(0, LATELY))
  const pin = (id: RepresentationId): void =>
    void (pinned.value = pinned.value.includes(id) ? pinned.value.filter((p) => p !== id) : [...pinned.value, id])
  return { pinned, lately, used, pin }
}
