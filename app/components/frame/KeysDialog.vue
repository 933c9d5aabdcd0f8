<script setup lang="ts">
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const KEYS: readonly [string, string][] = [
  ['Space', 'take the reading, or the whole row'],
  ['Enter', 'confirm the step and go on'],
  ['[  ]', 'previous, next step'],
  ['\u2191 \u2193', 'row up, row down'],
  ['T or a digit', 'type the row by hand; Enter goes to the next number'],
  ['K', 'key-down clock (keys the simulated set while its panel is open)'],
  ['L', 'listen to the reading'],
  ['M', 'hold the peak'],
  ['A', 'mark the adjusters of this step as turned'],
  ['N', 'note'],
  ['U', 'strike out the last reading, with a reason'],
  ['B', 'the board, large'],
  ['P', 'panel of the simulated set'],
  ['/', 'find a job'],
  ['Esc', 'close'],
  ['?', 'these keys'],
]
</script>

<template>
  <v-dialog :model-value="open" max-width="520" @update:model-value="v => v || emit('close')">
    <v-card title="Keys" class="pa-2">
      <v-card-text>
        <p class="quiet mb-3">A foot switch that sends Space takes readings hands free.</p>
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
        ><v-spacer /><v-btn @click="emit('close')">Close <kbd>Esc</kbd></v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>
