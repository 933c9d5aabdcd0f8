<script setup lang="ts">
import { useDecimalCookie, useLanguageCookie } from '../data/languageCookie'
import type { DecimalSign } from '#core/quantity'
import { t, type Language } from '#shared/i18n'
import { computed, onBeforeUnmount, onMounted, provide, ref, watch } from 'vue'
import { laterComponent } from '~/ui/laterComponent'
import { useCookie, useRoute } from '#imports'
import { useTheme } from 'vuetify'
import ReadoutRail from '../ui/frame/ReadoutRail.vue'
import SideNav from '../ui/frame/SideNav.vue'
import ReaderNotice from '../ui/frame/ReaderNotice.vue'
import OutboxNotice from '../ui/frame/OutboxNotice.vue'
import UnsentMark from '../ui/frame/UnsentMark.vue'
import { useBenchKeys } from '~/features/align/logic/useBenchKeys'
import { KEY_ALARM } from '~/features/align/logic/provided'
import { useKeyAlarm } from '~/features/align/logic/useKeyAlarm'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useLiveStore } from '~/features/instruments/store/live'
import { useOutboxStore } from '../data/outbox'
import { useSessionStore } from '~/features/people/store/session'
import { usePracticeStore } from '~/features/practice/store/practice'

const KeysDialog = laterComponent(() => import('../ui/frame/KeysDialog.vue'))
/** Only who practises needs the hands. */
const PracticeControls = laterComponent(() => import('~/features/practice/components/PracticeControls.vue'))
const route = useRoute()
const theme = useTheme()
const chosen = useCookie<'day' | 'night'>('theme', { default: () => 'day', maxAge: 31_536_000 })
theme.change(chosen.value)
const spoken = useLanguageCookie()
const decimal = useDecimalCookie()
const live = useLiveStore()
const outbox = useOutboxStore()
const practice = usePracticeStore()
const session = useSessionStore()
const alarm = useKeyAlarm(computed(() => live.clock))
provide(KEY_ALARM, alarm)
const instruments = useInstrumentsStore()
const keysOpen = ref(false)
const started = ref(false)
const night = computed(() => chosen.value === 'night')
const drawer = computed(() => practice.panelOpen && route.path !== '/practice' && practice.state !== null)

function switchTheme() {
  chosen.value = night.value ? 'day' : 'night'
  theme.change(chosen.value)
}
/** What is on the page was written with the other sign: a new one is begun. */
function showDecimals(sign: DecimalSign) {
  decimal.value = sign
  location.reload()
}
/** Texts are there before a page is built: another language begins a new one. */
function speak(to: Language) {
  spoken.value = to
  location.reload()
}
function togglePractice() {
  if (practice.state) practice.showPanel(!practice.panelOpen)
}
function key() {
  const simulated = practice.state && (drawer.value || route.path === '/practice')
  if (simulated) void practice.change({ keyed: !practice.state!.keyed })
  else live.toggleKey()
}
const main = ref<HTMLElement | null>(null)
/** The notice with its reasons and choices stands at the head of the page. */
const showUnsent = () => main.value?.scrollTo({ top: 0 })
watch(drawer, open => (open ? practice.watch() : practice.unwatch()))
/** The key line of the simulated set is seen while its panel is looked at. */
watch(
  () => (practice.state && (drawer.value || route.path === '/practice') ? practice.state.keyed : null),
  live.setKeyLine,
)
onMounted(() => {
  live.connect()
  started.value = true
  void practice.request()
  void instruments.load()
  void outbox.flush()
})
onBeforeUnmount(() => live.stop())
useBenchKeys({ '?': () => (keysOpen.value = true), 'p': togglePractice, 'k': key })
</script>

<template>
  <v-app>
    <div class="frame" :class="{ 'with-drawer': drawer }">
      <SideNav
        :path="route.path"
        :night="night"
        :simulated="practice.state !== null && route.path !== '/practice'"
        :panel-open="drawer"
        :practice="session.me.hasPractice"
        :person="session.me.person?.name ?? null"
        @person="session.offerSwitch"
        @panel="togglePractice"
        @theme="switchTheme"
        @keys="keysOpen = true"
        @language="speak"
        @decimal="showDecimals"
      />
      <main ref="main" class="frame-main" tabindex="0">
        <OutboxNotice
          :waiting="outbox.unsent.length"
          :trouble="outbox.trouble"
          :refused="outbox.refused"
          @give-up="outbox.giveUp"
          @send-again="outbox.sendAgain"
        />
        <ReaderNotice v-if="session.me.person?.role === 'reader'" />
        <slot />
      </main>
      <aside v-if="drawer && practice.state" class="frame-drawer no-print" :aria-label="t('frame.simulator')">
        <PracticeControls
          narrow
          :wanted="practice.wanted"
          :state="practice.state"
          :failure="practice.failure?.words ?? null"
          :change="practice.change"
          @close="practice.showPanel(false)"
        />
      </aside>
      <ClientOnly>
        <ReadoutRail
          class="frame-rail"
          :shown="live.shown"
          :clock="live.clock"
          :warmth="live.warmth"
          :key-sensed="live.keySensed"
          :links="live.links"
          :connected="live.connected"
          :started="started"
          ><template v-if="outbox.trouble || outbox.refused.length > 0" #unsent>
            <UnsentMark
              :waiting="outbox.trouble ? outbox.unsent.length : 0"
              :refused="outbox.refused.length"
              @show="showUnsent"
            /> </template
        ></ReadoutRail>
        <template #fallback><footer class="frame-rail rail-waiting" /></template>
      </ClientOnly>
      <KeysDialog v-if="keysOpen" open @close="keysOpen = false" />
    </div>
  </v-app>
</template>

<style scoped>
.frame {
  height: 100dvh;
  display: grid;
  grid-template: minmax(0, 1fr) 76px / 78px minmax(0, 1fr) auto;
}
.frame-main:focus-visible {
  outline-offset: -3px;
}
.frame-main {
  overflow: auto;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.frame-drawer {
  width: 300px;
  overflow: auto;
  border-left: 1px solid var(--line2);
  background: var(--sheet);
}
.frame.with-drawer :deep(.align) {
  grid-template-columns: 220px minmax(0, 1fr);
}
.frame.with-drawer :deep(.align > .hands) {
  display: none;
}
.frame-rail {
  grid-column: 1 / -1;
}
.rail-waiting {
  background: var(--sheet);
  border-top: 1px solid var(--line2);
}
@media (max-width: 700px) {
  .frame {
    grid-template: auto minmax(0, 1fr) auto 76px / minmax(0, 1fr);
  }
  .frame-drawer {
    grid-row: 3;
  }
  .frame-rail {
    grid-row: 4;
  }
  .frame-drawer {
    width: auto;
    max-height: 45dvh;
    border-left: 0;
    border-top: 1px solid var(--line2);
  }
}
</style>
