export { evenness, type Evenness } from './evenness';
export { goRound, pullsOf, risingOf, roundOf, type Round, type RoundPull } from './go-round';
export {
  givingAlike,
  givingOf,
  interaction,
  pulled,
  slackened,
  turnedOn,
  unpulled,
  type Giving,
  type Interaction,
  type InteractionInput,
  type InteractionPass,
  type Standing,
} from './interaction';
export { kei } from './kelvin';
export { characteristicLength, plateCompliance, type PlateInput } from './plate';
export {
  isFromMiddle,
  largestStep,
  MOST_ROUNDS,
  roundsOf,
  searchedWays,
  type JudgedWay,
  type RoundWay,
  type SearchInput,
  type SearchProgress,
  type SearchResult,
} from './search';
