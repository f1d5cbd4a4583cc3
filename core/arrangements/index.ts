import type { Arrangement, Job } from './build'
import { closings } from './closing'
import { contact } from './contact'
import { footers } from './footer'
import { headers } from './header'
import { openings } from './opening'
import { people } from './people'
import { plan } from './plan'
import { prices } from './prices'
import { problem } from './problem'
import { proof } from './proof'
import { questions } from './questions'
import { reasons } from './reasons'
import { signUps } from './sign-up'
import { story } from './story'
import { timetable } from './timetable'
import { work } from './work'

/** Every arrangement, in the order in which the chooser shows them. */
export const ARRANGEMENTS: readonly Arrangement[] = [
  ...openings,
  ...reasons,
  ...problem,
  ...story,
  ...plan,
  ...proof,
  ...work,
  ...prices,
  ...timetable,
  ...people,
  ...questions,
  ...signUps,
  ...contact,
  ...closings,
  ...headers,
  ...footers,
]

const byId = new Map(ARRANGEMENTS.map((one) => [one.id, one]))

export const arrangementOf = (id: string): Arrangement | undefined => byId.get(id)
export const arrangementsFor = (job: Job): Arrangement[] => ARRANGEMENTS.filter((one) => one.job === job)
