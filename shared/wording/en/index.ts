import { actions } from './actions'
import { belts } from './belts'
import { closing } from './closing'
import { comeBack } from './comeBack'
import { directions } from './directions'
import { door } from './door'
import { drawings } from './drawings'
import { feet } from './feet'
import { hot } from './hot'
import { kinds } from './kinds'
import { level } from './level'
import { look } from './look'
import { measuring } from './measuring'
import { methods } from './methods'
import { moves } from './moves'
import { objections } from './objections'
import { opening } from './opening'
import { pages } from './pages'
import { plans } from './plans'
import { prove } from './prove'
import { pushing } from './pushing'
import { limits, quantities } from './quantities'
import { refusals } from './refusals'
import { report } from './report'
import { roughIn } from './roughIn'
import { safety } from './safety'
import { secondScreen } from './secondScreen'
import { setUp } from './setUp'
import { shell } from './shell'
import { softFoot } from './softFoot'
import { sheet } from './stages'
import { tables } from './tables'
import { typing } from './typing'
import { targets } from './targets'
import { verdicts } from './verdicts'
import { vibration } from './vibration'
import { working } from './working'

/** The English words of the program, one file a subject. Another language is one folder more, of this type. */
export const en = {
  actions,
  belts,
  closing,
  comeBack,
  directions,
  door,
  drawings,
  feet,
  hot,
  kinds,
  level,
  limits,
  look,
  measuring,
  methods,
  moves,
  objections,
  opening,
  pages,
  plans,
  prove,
  pushing,
  quantities,
  refusals,
  report,
  roughIn,
  safety,
  secondScreen,
  setUp,
  sheet,
  shell,
  softFoot,
  tables,
  typing,
  targets,
  verdicts,
  vibration,
  working,
}

export type Words = typeof en
