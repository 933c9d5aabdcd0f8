import diagnose from './diagnose.json'
import instrument from './instrument.json'
import practice from './practice.json'
import quantity from './quantity.json'
import rules from './rules.json'
import sheet from './sheet.json'
import work from './work.json'

/**
 * Spanish of what stands in the tables of core and is the same wherever it stands: service sheets, causes, tests,
 * lessons, names. The English text is the key.
 */
export default { ...diagnose, ...instrument, ...practice, ...quantity, ...rules, ...sheet, ...work }
