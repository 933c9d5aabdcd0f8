export {
  JOB_RECORD_FORMAT,
  JOB_RECORD_VERSION,
  jobRecord,
  type JobRecord,
  type RecordedJob,
} from './jobRecord'
export { NOT_JUDGED, readingLines, unjudgedLines, type ReadingLine } from './readingLines'
export { OLD_RECORD_COLUMNS, type OldPhase, type OldProblem, type OldReading } from './oldReading'
export { oldRecords, type OldNames, type OldRecord, type OldRecords } from './oldRecords'
export { withAdjusterTable, type AdjusterTable, type TableProblem, type TableRow } from './adjusterTable'
