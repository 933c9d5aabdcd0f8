export { sameHeader } from './header'
export {
  MAX_BLOCK_BYTES,
  SCPI_ERRORS,
  blockHead,
  scpiBoolean,
  scpiChannel,
  scpiCommands,
  scpiDecimal,
  writeBlockHead,
  type ScpiCommand,
  type ScpiErrorCode,
} from './message'
export { StatusRegisters } from './statusRegisters'
