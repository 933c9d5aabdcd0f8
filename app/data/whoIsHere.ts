import { ref } from 'vue'
import { NOBODY } from '#shared/people'

/** Whether the server has answered that somebody has to sign in; whoever signs in takes it back. */
export const signInNeeded = ref(false)

/** Id of whoever is signed in at this screen, for what is entered and sent from here. */
export const personHere = ref(NOBODY)

/** Whether that is a trainee: what he or she enters on a customer's set waits to be released. */
export const traineeHere = ref(false)
