import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { NOBODY, type Me } from '#shared/people'
import { $api } from '~/data/api'
import { forgetSnapshots } from '~/data/outboxDb'
import { personHere, signInNeeded, traineeHere } from '~/data/whoIsHere'

/** What is taken for true until the server has said how it is. */
const UNKNOWN: Me = {
  isSetUp: true,
  signIn: false,
  workshop: '',
  address: null,
  ruleSetId: null,
  person: null,
  known: [],
  hasPasskeys: false,
  hasPractice: false,
}

/** A server that did not answer is asked again after this [ms]. */
const AGAIN_MS = 5000

/** Who works at this screen. */
export const useSessionStore = defineStore('session', () => {
  const me = ref<Me>(UNKNOWN)
  /** who was here last, for while the server is away; whoever signs out takes it back */
  const remembered = useLocalStorage<Me | null>('diapason.me', null, {
    shallow: true,
    serializer: { read: text => JSON.parse(text) as Me | null, write: JSON.stringify },
  })
  /** somebody else wants to sign in while the page stays as it is */
  const switching = ref(false)
  /** a page is on the screen already: who has to sign in again loses nothing that was typed there */
  const entered = ref(false)

  const isFirstStart = computed(() => !me.value.isSetUp)
  const asks = computed(
    () => me.value.signIn && (me.value.person === null || signInNeeded.value || switching.value),
  )

  async function load() {
    const now = await $api<Me>('/api/me')
    remembered.value = now.person ? now : null
    take(now)
  }
  /** When a page is opened: by the server, or by what this browser remembers until the server answers. */
  async function begin() {
    try {
      await load()
    } catch {
      if (remembered.value && !me.value.person) take(remembered.value)
      setTimeout(() => void begin(), AGAIN_MS)
    }
  }
  function take(now: Me) {
    me.value = now
    personHere.value = now.person?.personId ?? NOBODY
    traineeHere.value = now.person?.role === 'trainee'
    if (now.person) signInNeeded.value = false
    if (now.isSetUp && (!now.signIn || now.person)) entered.value = true
  }
  /** @throws what the server answers */
  async function setUp(first: {
    workshop: string
    owner: { name: string; password: string } | null
    ruleSetId?: string | null
  }) {
    await $api('/api/workshop', { method: 'POST', body: first })
    await load()
  }
  async function signIn(name: string, password: string) {
    await $api('/api/sign-in', { method: 'POST', body: { name, password } })
    await signedIn()
  }
  async function signInByPin(personId: string, pin: string) {
    await $api('/api/sign-in/pin', { method: 'POST', body: { personId, pin } })
    await signedIn()
  }
  /** @throws what the server answers, InWords */
  async function signInByPasskey() {
    const { answered } = await import('../logic/passkeys')
    const response = await answered(await $api('/api/sign-in/passkey/offer', { method: 'POST', body: {} }))
    await $api('/api/sign-in/passkey', { method: 'POST', body: response })
    await signedIn()
  }
  async function signedIn() {
    await load()
    switching.value = false
  }
  function offerSwitch() {
    switching.value = true
  }
  function goOn() {
    switching.value = false
  }
  async function signOut() {
    await $api('/api/sign-out', { method: 'POST' })
    entered.value = false
    switching.value = false
    remembered.value = null
    await forgetSnapshots()
    await load()
  }
  /** @throws what the server answers */
  async function chooseRules(ruleSetId: string | null) {
    await $api('/api/workshop/rules', { method: 'PUT', body: { ruleSetId } })
    await load()
  }
  async function changePassword(old: string, password: string) {
    await $api('/api/me/password', { method: 'PUT', body: { old, password } })
  }
  async function changePin(password: string, pin: string | null) {
    await $api('/api/me/pin', { method: 'PUT', body: { password, pin } })
    await load()
  }
  // Signed out in another tab, or for too long: the person is not known here any more.
  watch(signInNeeded, needed => needed && void load().catch(() => {}))

  return {
    me,
    switching,
    entered,
    isFirstStart,
    asks,
    offerSwitch,
    goOn,
    begin,
    load,
    setUp,
    signIn,
    signInByPin,
    signInByPasskey,
    signOut,
    chooseRules,
    changePassword,
    changePin,
  }
})
