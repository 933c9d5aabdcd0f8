export {
  JOB_RECORD_FORMAT,
  JOB_RECORD_VERSION,
  jobRecord,
  readingLines,
  type JobRecord,
  type ReadingLine,
  type RecordedJob,
} from './jobRecord'
export { withAdjusterTable, type AdjusterTable, type TableProblem, type TableRow } from './adjusterTable'
