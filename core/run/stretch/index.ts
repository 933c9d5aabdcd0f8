export { stretchNames, type Circumstances, type StretchNames } from './circumstances'
export { currentStretch, stretches, type Stretch, type WatchedSample } from './stretches'
