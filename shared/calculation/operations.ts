import { z } from 'zod'
import { METHOD_OPERATIONS } from '../methods/contracts'
import { achievedOperation } from './achieved'
import { axialGapOperation } from './axialGap'
import { backlashOperation } from './backlash'
import { beltGeometryOperation } from './beltGeometry'
import { beltReadingOperation } from './beltReading'
import { beltSetOperation } from './beltSet'
import { beltTakeUpOperation } from './beltTakeUp'
import { beltTensionOperation } from './beltTension'
import { compareSetsOperation } from './compareSets'
import { couplingValuesOperation } from './couplingValues'
import { drumTramOperation } from './drumTram'
import { fitReadingsOperation } from './fitReadings'
import { footValuesOperation } from './footValues'
import { fourContactOperation } from './fourContact'
import { gapStraightedgeOperation } from './gapStraightedge'
import { gearContactOperation } from './gearContact'
import { growthOperation } from './growth'
import { hotCheckOperation } from './hotCheck'
import { judgeOperation } from './judge'
import { levelOperation } from './level'
import { movePlanOperation } from './movePlan'
import type { CalculationAnswer, Operation } from './operation'
import { runInOperation } from './runIn'
import { runoutOperation } from './runout'
import { sheaveLineOperation } from './sheaveLine'
import { shimPackOperation } from './shimPack'
import { softFootOperation } from './softFoot'
import { squarenessOperation } from './squareness'
import { stepShimOperation } from './stepShim'
import { strainOperation } from './strain'
import { tighteningOperation } from './tightening'
import { trainPlanOperation } from './trainPlan'
import { uncertaintyOperation } from './uncertainty'
import { variableSheaveOperation } from './variableSheave'
import { verticalFlangeOperation } from './verticalFlange'

/** The calculation contract: the one table that the command, the route, OpenAPI and the docs read. */
export const OPERATIONS: readonly Operation[] = [
  ...METHOD_OPERATIONS,
  gapStraightedgeOperation,
  couplingValuesOperation,
  footValuesOperation,
  verticalFlangeOperation,
  drumTramOperation,
  fitReadingsOperation,
  compareSetsOperation,
  backlashOperation,
  achievedOperation,
  softFootOperation,
  stepShimOperation,
  levelOperation,
  growthOperation,
  hotCheckOperation,
  axialGapOperation,
  shimPackOperation,
  movePlanOperation,
  trainPlanOperation,
  judgeOperation,
  runoutOperation,
  uncertaintyOperation,
  strainOperation,
  tighteningOperation,
  gearContactOperation,
  beltGeometryOperation,
  beltTensionOperation,
  beltReadingOperation,
  beltSetOperation,
  beltTakeUpOperation,
  sheaveLineOperation,
  fourContactOperation,
  squarenessOperation,
  variableSheaveOperation,
  runInOperation,
]

/** Runs one operation by name; unknown names are answered like any other bad input. */
export const calculate = async (name: unknown, input: unknown): Promise<CalculationAnswer> => {
  const operation = OPERATIONS.find((o) => o.name === name)
  if (operation) return operation.run(input)
  const message = `There is no operation called ${JSON.stringify(name ?? null)}. Known: ${OPERATIONS.map((o) => o.name).join(', ')}.`
  return {
    ok: false,
    error: { code: 'unknown-operation', message, issues: [{ path: 'operation', message }] },
  }
}

/** JSON Schema of an operation's input. */
export const inputSchema = (operation: Operation): unknown => z.toJSONSchema(operation.input, { io: 'input' })

/** JSON Schema of an operation's result. */
export const resultSchema = (operation: Operation): unknown =>
  z.toJSONSchema(operation.result, { io: 'output' })
