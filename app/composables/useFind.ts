const wanted = ref(false)

/** The one box that finds everything by its name (components/frame/FindBox.vue). */
export const useFind = () => ({ wanted, open: (): void => void (wanted.value = true) })
