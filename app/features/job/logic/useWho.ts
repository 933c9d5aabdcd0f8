import { useLocalStorage } from '@vueuse/core'

/**
 * Who works at this screen: asked once, remembered here, and written beside corrections and confirmations.
 */
export const useWho = () => useLocalStorage('diapason-who', '')
