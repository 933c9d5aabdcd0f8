// What a recording is, wherever it came from
export {
  badRecording,
  type Annotation,
  type Recording,
  type RecordingNote,
  type SampleBlock,
} from './recording'
export { bytesSource, sliceSource, type ByteSource } from './byteSource'
// Reading
export { openRecording, type OpenOptions } from './openRecording'
export { previewScopeCsv, openScopeCsv, type ScopePreview } from './scopeCsv'
// Writing
export { writeWav } from './writeWav'
export { packTar, type ArchiveMember } from './packSigmf'
export { writeSigmf, type SigmfToWrite } from './writeSigmf'
