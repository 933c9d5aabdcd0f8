import { kindHas, type KindPart, type ModelSheet } from '../sheet'

export interface InspectionItem {
  readonly id: string
  readonly lookFor: string
  readonly good: string
  readonly bad: string
  /** only sets with this part are looked at for it; null = every set */
  readonly part: KindPart | null
  readonly needsConsent: boolean
}

const item = (
  id: string,
  lookFor: string,
  good: string,
  bad: string,
  part: KindPart | null = null,
  needsConsent = false,
): InspectionItem => ({ id, lookFor, good, bad, part, needsConsent })

/** The item that says whether the limiter is whole. */
export const LIMITER_ITEM = 'I33'

/** What is looked at before anything is measured, by kind of set (common practice). */
export const INSPECTION_ITEMS: readonly InspectionItem[] = [
  item(
    'I06',
    'Fuse and lead polarity',
    'as rated',
    'wire instead of a fuse, melted lead: over-current has occurred',
  ),
  item(
    'I40',
    'Supply lead, socket, polarity diode, filter capacitor',
    'sound',
    'melted insulation, diode missing or tiny',
  ),
  item(
    'I30',
    'Earlier work: solder, lifted tracks, added boards',
    'factory solder',
    'burnt or repaired track, dull ring round a pin; unknown add-on: photograph, trace, ask',
  ),
  item(
    'I31',
    'Glue on boards and modules',
    'soft, clear',
    'brown, hard, crusted: corrosive and conductive',
    null,
    true,
  ),
  item('I32', 'Electrolytic capacitors', 'flat, dry', 'bulged, leaking, mixed ages', null, true),
  item(
    LIMITER_ITEM,
    'Modulation limiter parts',
    'all present',
    'transistor or diode clipped out, preset at its end stop',
    'limiter',
  ),
  item(
    'I34',
    'Power modifications',
    'none',
    'home-made power control, resistor bridged, regulator reworked',
    'transistor-final',
  ),
  item(
    'I35',
    'Types of driver and final',
    'as listed',
    'wrong type or rating, counterfeit, insulator missing',
    'transistor-final',
  ),
  item(
    'I36',
    'Resistors near driver and final',
    'in tolerance',
    'two burnt means most of the stage is out of value',
    'transistor-final',
  ),
  item(
    'I37',
    'Cores and wax',
    'wax whole, core full',
    'cracked, missing, wedge marks; spread turns: set a reminder',
    'cores',
  ),
  item('I38', 'Presets', 'clean', 'dirty, at an end stop, jumping: clean first'),
  item(
    'I39',
    'Trimmers',
    'fitted',
    'fixed capacitor in place of a trimmer: frequency not adjustable',
    'cores',
  ),
  item(
    'I41',
    'Mounting of power devices',
    'original screw, mica, paste',
    'metal for nylon screw, no insulator',
    'transistor-final',
  ),
  item('I42', 'Markings', 'readable', 'chip numbers painted over: look in the service data'),
  item('I43', 'Relay, switches, microphone plug', 'clean', 'intermittent'),
  item(
    'I44',
    'Regulators and heat sink',
    'no hot spots',
    'brown board; moving to the chassis needs consent',
    null,
    true,
  ),
  item(
    'I45',
    'Bleeder, high-voltage capacitors, fan, getter, plate caps',
    'silver getter, bleeder whole',
    'white getter: valve has lost its vacuum; bleeder open: high voltage stays for hours',
    'valves',
  ),
]

export function inspectionItems(sheet: ModelSheet): InspectionItem[] {
  const own = (sheet.inspection ?? []).map(i => item(i.id, i.lookFor, i.good, i.bad))
  return [...INSPECTION_ITEMS.filter(i => i.part === null || kindHas(sheet.kind, i.part)), ...own]
}
