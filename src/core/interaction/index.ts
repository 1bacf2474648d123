export {
  givingOf,
  interaction,
  pulled,
  unpulled,
  type Interaction,
  type InteractionInput,
  type InteractionPass,
  type Standing,
} from './interaction';
export { kei } from './kelvin';
export { characteristicLength, plateCompliance, type PlateInput } from './plate';
