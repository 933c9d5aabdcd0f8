export { JOB_RECORD_FORMAT, JOB_RECORD_VERSION, jobRecord, readingLines, type JobRecord, type ReadingLine, type RecordedJob } from './jobRecord'
