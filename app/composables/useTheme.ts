export type Theme = 'light' | 'dark' | 'contrast'

/** How the screen looks: as this machine asks for, unless something else was chosen here. */
export function useTheme() {
  const chosen = useLocalStorage<Theme | 'system'>('sett.looks', 'system')
  const dark = usePreferredDark()
  const contrast = usePreferredContrast()
  const theme = computed<Theme>(() => {
    if (chosen.value !== 'system') return chosen.value
    return contrast.value === 'more' ? 'contrast' : dark.value ? 'dark' : 'light'
  })
  return { chosen, theme }
}
