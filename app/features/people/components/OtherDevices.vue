<script setup lang="ts">
import { t } from '#shared/i18n'
import type { WayIn } from '#shared/network'
import { computed } from 'vue'

/** How a tablet gets in: its camera reads the address, and it is told once whom to trust. */
const props = defineProps<{ wayIn: WayIn }>()
const first = computed(() => props.wayIn.addresses[0] ?? null)
const picture = computed(() =>
  props.wayIn.qrSvg ? `data:image/svg+xml,${encodeURIComponent(props.wayIn.qrSvg)}` : null,
)
</script>

<template>
  <section :aria-label="t('people.otherDevices')">
    <h2>{{ t('people.otherDevices') }}</h2>
    <p v-if="wayIn.reach === 'this-machine'" class="quiet">{{ t('people.thisMachineOnly') }}</p>
    <p v-else-if="first === null" class="quiet">{{ t('people.behindProxy') }}</p>
    <div v-else class="devices">
      <img
        v-if="picture"
        :src="picture"
        :alt="t('people.qrOf', { address: first })"
        width="180"
        height="180"
      />
      <div>
        <p>{{ t('people.readByCamera') }}</p>
        <ul>
          <li v-for="address in wayIn.addresses" :key="address">
            <a :href="address" class="fig">{{ address }}</a>
          </li>
        </ul>
        <template v-if="wayIn.fingerprint">
          <p>{{ t('people.trustOnce') }}</p>
          <p>
            {{ t('people.fingerprint') }}<br /><b class="fig print">{{ wayIn.fingerprint }}</b>
          </p>
          <v-btn href="/api/network/authority" size="large">{{ t('people.downloadCertificate') }}</v-btn>
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
section {
  margin-top: 32px;
}
.devices p:first-child {
  margin-top: 0;
}
.devices {
  display: flex;
  flex-wrap: wrap;
  gap: 24px;
  align-items: start;
}
.devices > div {
  flex: 1 1 360px;
  max-width: 680px;
}
img {
  background: #fff;
}
.print {
  overflow-wrap: anywhere;
}
ul {
  padding-left: 20px;
}
li {
  padding: 4px 0;
}
</style>
