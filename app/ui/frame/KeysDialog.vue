<script setup lang="ts">
import { t } from '#shared/i18n'
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const KEYS: readonly [string, string][] = [
  ['Space', t('frame.takeTheReadingOrAllReadings')],
  ['Enter', t('frame.confirmTheStepAndContinue')],
  ['[  ]', t('frame.previousNextStep')],
  ['<  >', t('frame.previousNextPhase')],
  ['\u2191 \u2193', t('frame.rowUpRowDown')],
  [t('frame.tOrADigit'), t('frame.typeTheReadingsOfTheRow')],
  ['G', t('frame.typeAsTable')],
  ['K', t('frame.keyDownClockKeysTheSimulated')],
  ['L', t('frame.listenToTheReading')],
  ['M', t('frame.holdPeak')],
  ['A', t('frame.logAdjustmentOfTheAdjustersOf')],
  ['N', t('frame.addANote')],
  ['U', t('frame.strikeOutTheLastReadingWith')],
  ['B', t('frame.boardEnlarged')],
  ['P', t('frame.openTheSimulator')],
  ['/', t('frame.findAJob')],
  [t('common.esc'), t('frame.closeWhatIsOpen')],
  ['?', t('frame.thisList')],
]
</script>

<template>
  <v-dialog :model-value="open" max-width="520" @update:model-value="v => v || emit('close')">
    <v-card :title="t('frame.shortcuts')" class="pa-2">
      <v-card-text>
        <p class="quiet mb-3">{{ t('frame.aFootSwitchThatSendsSpace') }}</p>
        <table class="plain">
          <tbody>
            <tr v-for="[key, what] in KEYS" :key="key">
              <td style="width: 120px">
                <b class="fig">{{ key }}</b>
              </td>
              <td>{{ what }}</td>
            </tr>
          </tbody>
        </table>
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn @click="emit('close')"
          >{{ t('common.close') }} <kbd>{{ t('common.esc') }}</kbd></v-btn
        ></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>
