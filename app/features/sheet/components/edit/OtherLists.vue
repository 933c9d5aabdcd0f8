<script setup lang="ts">
import { t } from '#shared/i18n'
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
  { ...text('id', t('sheet.testPoint')), width: '110px' },
  text('name', t('common.name')),
  text('where', t('sheet.where'), 'long'),
  text('expected', t('sheet.expected'), 'long'),
  text('caution', t('sheet.caution'), 'optional'),
]
const SPEC = [
  text('what', t('sheet.what')),
  text('value', t('sheet.value')),
  text('source', t('common.source')),
]
const LOOK = [
  { ...text('id', t('sheet.item')), width: '110px' },
  text('lookFor', t('sheet.lookFor'), 'long'),
  text('good', t('sheet.good'), 'long'),
  text('bad', t('sheet.badAndWhatToDo'), 'long'),
]
const FAULTS = [
  text('seen', t('sheet.symptom'), 'long'),
  text('cause', t('sheet.cause'), 'long'),
  text('cure', t('sheet.remedy'), 'long'),
]
const OWED = [
  { ...text('id', t('sheet.item')), width: '110px' },
  text('title', t('sheet.title')),
  text('why', t('sheet.why'), 'long'),
  {
    ...text('doneBy', t('sheet.doneBy'), 'select'),
    items: [
      { value: '', title: t('sheet.doneByWords') },
      { value: 'settings-card', title: t('sheet.doneByCard') },
    ],
    width: '170px',
  },
]
/** What is settled in words has no field for it. */
const ofList = (owed: readonly OwedItem[]) =>
  owed.map(({ doneBy, ...item }): OwedItem => (doneBy ? { ...item, doneBy } : item))
const newPoint = (n: number): TestPoint => ({
  id: `TP${n + 1}`,
  name: '',
  where: '',
  expected: '',
  caution: null,
  board: { x: 0.5, y: 0.5 },
})
const SIDES = BOARD_SIDES.map(side => t(SIDE_WORDS[side])).join(` ${t('sheet.orThe')} `)
</script>

<template>
  <div>
    <h2>{{ t('sheet.testPoints') }}</h2>
    <EditTable
      :rows="sheet.testPoints ?? []"
      :columns="POINTS"
      :make="() => newPoint((sheet.testPoints ?? []).length)"
      :add="t('sheet.addTestPoint')"
      :empty="t('sheet.noneYetTheyArePlacedOn', { sides: SIDES })"
      @change="testPoints => emit('change', { testPoints })"
    />
    <h2>{{ t('sheet.specification') }}</h2>
    <EditTable
      :rows="sheet.specification"
      :columns="SPEC"
      :make="(): SpecLine => ({ what: '', value: '', source: '' })"
      :add="t('sheet.addLine')"
      :empty="t('sheet.noneYetValueAndSource')"
      @change="specification => emit('change', { specification })"
    />
    <h2>{{ t('sheet.inspectionOfThisModel') }}</h2>
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
      :add="t('sheet.addItem')"
      :empty="t('sheet.nothingBeyondWhatBelongsToIts')"
      @change="inspection => emit('change', { inspection })"
    />
    <h2>{{ t('sheet.typicalFaults') }}</h2>
    <EditTable
      :rows="sheet.typicalFaults ?? []"
      :columns="FAULTS"
      :make="(): TypicalFault => ({ seen: '', cause: '', cure: '' })"
      :add="t('sheet.addFault')"
      :empty="t('sheet.noneYet')"
      @change="typicalFaults => emit('change', { typicalFaults })"
    />
    <h2>{{ t('sheet.workshopPractice') }}</h2>
    <SchoolFields :sheet="sheet" @change="part => emit('change', part)" />
    <h2>{{ t('sheet.outstandingAfterTheProcedure') }}</h2>
    <EditTable
      :rows="sheet.owed"
      :columns="OWED"
      :make="(): OwedItem => ({ id: `O${sheet.owed.length + 1}`, title: '', why: '' })"
      :add="t('sheet.addItem')"
      :empty="t('sheet.nothingOutstanding')"
      @change="owed => emit('change', { owed: ofList(owed) })"
    />
  </div>
</template>
