import { changeRules } from './change-rules'
import { conditionRules } from './condition-rules'
import { motionRules, revealOf } from './motion-rules'
import { stateRules } from './state-rules'

/** What prints the states and the motion of blocks; for those who want no motion, the states alone. */
export type Behaviour = {
  statesOf: typeof stateRules
  changesOf: typeof changeRules
  conditionsOf: typeof conditionRules
  motionOf?: typeof motionRules
  revealOf: typeof revealOf
}

export const STATES_ALONE: Behaviour = { statesOf: stateRules, changesOf: changeRules, conditionsOf: conditionRules, revealOf }
export const BEHAVIOUR: Behaviour = { ...STATES_ALONE, motionOf: motionRules }
