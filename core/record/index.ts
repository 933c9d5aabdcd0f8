export {
  JOB_RECORD_FORMAT,
  JOB_RECORD_VERSION,
  jobRecord,
  type JobRecord,
  type RecordedJob,
} from './jobRecord'
export { NOT_JUDGED, readingLines, unjudgedLines, type ReadingLine } from './readingLines'
export { withAdjusterTable, type AdjusterTable, type TableProblem, type TableRow } from './adjusterTable'
