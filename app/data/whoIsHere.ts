import { ref } from 'vue'
import { NOBODY } from '#shared/people'

/** Whether the server has answered that somebody has to sign in; whoever signs in takes it back. */
export const signInNeeded = ref(false)

/** Id of whoever is signed in at this screen, for what is entered and sent from here. */
export const personHere = ref(NOBODY)
