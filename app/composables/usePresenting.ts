const presenting = ref(false)

/** Whether only the ask, the mat, the page and the say strip are shown. */
export const usePresenting = (): Ref<boolean> => presenting
