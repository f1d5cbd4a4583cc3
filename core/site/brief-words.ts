import type { Aim, AuditFinding, Constraint, SiteBrief } from './brief'
import { familyOf } from '#core/type/families'

export const AIM_NAMES: Record<Aim, string> = {
  book: 'Book',
  'sign-up': 'Sign up',
  download: 'Download',
  buy: 'Buy',
  contact: 'Contact',
  'show-work': 'Show work',
}

export const COMFORT_NAMES: Record<SiteBrief['comfort'], string> = {
  seldom: 'Seldom there, unsure',
  everyday: 'There every day',
  expert: 'At home in all of it',
}

export const SEVERITY_NAMES: Record<AuditFinding['severity'], string> = { slight: 'Slight', serious: 'Serious', grave: 'Grave' }

export const CONSTRAINT_NAMES: Record<Constraint['kind'], string> = {
  'colour-wanted': 'Colour that must appear',
  'colour-unwanted': 'Colour that must not',
  faces: 'Faces',
  'most-links': 'Navigation links',
  'one-action': 'One action only',
  confirmation: 'Confirmation page',
  sections: 'Sections that must be there',
  'opening-words': 'Words in the opening',
}

/** A constraint in a few words, as the client said it. */
export function constraintInWords(constraint: Constraint): string {
  switch (constraint.kind) {
    case 'colour-wanted':
      return `${constraint.hex} must appear`
    case 'colour-unwanted':
      return `${constraint.hex} must not appear`
    case 'faces':
      return `Set in ${constraint.families.map((one) => familyOf(one)?.name ?? one).join(' and ')} alone`
    case 'most-links':
      return constraint.count === 0 ? 'No navigation' : `At most ${constraint.count} navigation links`
    case 'one-action':
      return 'Every button and link leads to the one action'
    case 'confirmation':
      return 'Forms are confirmed on a page of this site'
    case 'sections':
      return `There must be: ${constraint.jobs.join(', ')}`
    case 'opening-words':
      return `At most ${constraint.count} words in the opening`
  }
}
