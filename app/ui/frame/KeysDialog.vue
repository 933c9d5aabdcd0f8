<script setup lang="ts">
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const KEYS: readonly [string, string][] = [
  ['Space', 'take the reading, or all readings of the row'],
  ['Enter', 'confirm the step and continue'],
  ['[  ]', 'previous, next step'],
  ['\u2191 \u2193', 'row up, row down'],
  ['T or a digit', 'type the readings of the row; Enter goes to the next one'],
  ['K', 'key-down clock (keys the simulated set while its panel is open)'],
  ['L', 'listen to the reading'],
  ['M', 'hold peak'],
  ['A', 'log adjustment of the adjusters of this step'],
  ['N', 'note'],
  ['U', 'strike out the last reading, with a reason'],
  ['B', 'board, enlarged'],
  ['P', 'simulator'],
  ['/', 'find a job'],
  ['Esc', 'close'],
  ['?', 'this list'],
]
</script>

<template>
  <v-dialog :model-value="open" max-width="520" @update:model-value="v => v || emit('close')">
    <v-card title="Shortcuts" class="pa-2">
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
