<script setup lang="ts">
import {
  BOARD_SIDES,
  type ModelSheet,
  type OwedItem,
  type OwnInspectionItem,
  type SpecLine,
  type TestPoint,
  type TypicalFault,
} from '#core/sheet'
import { SIDE_WORDS } from '../../logic/boardPins'
import EditTable from './EditTable.vue'
import type { EditColumn } from './editColumn'
import SchoolFields from './SchoolFields.vue'

/** Test points, specification, inspection, typical faults, and what the procedure leaves open. */
defineProps<{ sheet: ModelSheet }>()
const emit = defineEmits<{ change: [part: Partial<ModelSheet>] }>()
const text = (key: string, label: string, kind?: EditColumn['kind']): EditColumn => ({
  key,
  label,
  ...(kind ? { kind } : {}),
})
const POINTS = [
  { ...text('id', 'Test point'), width: '110px' },
  text('name', 'Name'),
  text('where', 'Where', 'long'),
  text('expected', 'Expected', 'long'),
  text('caution', 'Caution', 'optional'),
]
const SPEC = [text('what', 'What'), text('value', 'Value'), text('source', 'Source')]
const LOOK = [
  { ...text('id', 'Item'), width: '110px' },
  text('lookFor', 'Look for', 'long'),
  text('good', 'Good', 'long'),
  text('bad', 'Bad, and what to do', 'long'),
]
const FAULTS = [
  text('seen', 'Symptom', 'long'),
  text('cause', 'Cause', 'long'),
  text('cure', 'Remedy', 'long'),
]
const OWED = [{ ...text('id', 'Item'), width: '110px' }, text('title', 'Title'), text('why', 'Why', 'long')]
const newPoint = (n: number): TestPoint => ({
  id: `TP${n + 1}`,
  name: '',
  where: '',
  expected: '',
  caution: null,
  board: { x: 0.5, y: 0.5 },
})
const SIDES = BOARD_SIDES.map(side => SIDE_WORDS[side]).join(' or the ')
</script>

<template>
  <div>
    <h2>Test points</h2>
    <EditTable
      :rows="sheet.testPoints ?? []"
      :columns="POINTS"
      :make="() => newPoint((sheet.testPoints ?? []).length)"
      add="Add test point"
      :empty="`None yet. They are placed on the ${SIDES} under Board.`"
      @change="testPoints => emit('change', { testPoints })"
    />
    <h2>Specification</h2>
    <EditTable
      :rows="sheet.specification"
      :columns="SPEC"
      :make="(): SpecLine => ({ what: '', value: '', source: '' })"
      add="Add line"
      empty="None yet: value and source."
      @change="specification => emit('change', { specification })"
    />
    <h2>Inspection of this model</h2>
    <EditTable
      :rows="sheet.inspection ?? []"
      :columns="LOOK"
      :make="
        (): OwnInspectionItem => ({
          id: `M${(sheet.inspection ?? []).length + 1}`,
          lookFor: '',
          good: '',
          bad: '',
        })
      "
      add="Add item"
      empty="Nothing beyond what belongs to its kind of set."
      @change="inspection => emit('change', { inspection })"
    />
    <h2>Typical faults</h2>
    <EditTable
      :rows="sheet.typicalFaults ?? []"
      :columns="FAULTS"
      :make="(): TypicalFault => ({ seen: '', cause: '', cure: '' })"
      add="Add fault"
      empty="None yet."
      @change="typicalFaults => emit('change', { typicalFaults })"
    />
    <h2>Workshop practice</h2>
    <SchoolFields :sheet="sheet" @change="part => emit('change', part)" />
    <h2>Outstanding after the procedure</h2>
    <EditTable
      :rows="sheet.owed"
      :columns="OWED"
      :make="(): OwedItem => ({ id: `O${sheet.owed.length + 1}`, title: '', why: '' })"
      add="Add item"
      empty="None."
      @change="owed => emit('change', { owed })"
    />
  </div>
</template>
