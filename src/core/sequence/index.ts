export { sequence, type Sequence, type SequenceInput, type SequenceStep, type Waiting } from './sequence';
