import type { Job } from '#core/arrangements/build'
import type { Aim } from '#core/site/brief'

/** A section of a suggested running order: its job, the arrangement to begin with, and why it is there. */
export type OutlineRow = { job: Job; arrangement: string; reason: string }

/** A suggested running order for a page with one aim. One with a single action has no navigation and confirms its form. */
export type Outline = { id: string; aim: Aim; name: string; note: string; single: boolean; rows: OutlineRow[] }

const row = (arrangement: string, job: Job, reason: string): OutlineRow => ({ job, arrangement, reason })

const bar = row('header-bar', 'header', 'Says whose page this is, and lets the hurried go straight to what they want.')
const footer = row('footer-air', 'footer', 'Small print and the ways on, out of the way of the ask.')
const closing = row('closing-centred', 'closing', 'Those who read to the end are asked once more, without going back up.')
const single = [
  row('header-minimal', 'header', 'The name alone: nothing leads away from the one action.'),
  row('footer-print', 'footer', 'Who is answerable, in one line.'),
] as const

/** The outlines, by aim. */
export const OUTLINES: readonly Outline[] = [
  {
    id: 'book',
    aim: 'book',
    name: 'Book a time',
    note: 'For visits, appointments and tables: what it is like, when it is, and the booking.',
    single: false,
    rows: [
      bar,
      row('opening-over-picture', 'opening', 'Shows the place before it explains it, and asks for the booking at once.'),
      row('reasons-three', 'reasons', 'Three reasons to come, short enough to be read standing.'),
      row('plan-steps', 'plan', 'Booking feels safe when the steps are known.'),
      row('timetable-rows', 'timetable', 'When it happens decides whether they can come.'),
      row('proof-quotes', 'proof', 'Others have come, and were glad.'),
      row('prices-cards', 'prices', 'What it costs, before they must ask.'),
      row('questions-margin', 'questions', 'Removes the last doubts without a telephone call.'),
      closing,
      footer,
    ],
  },
  {
    id: 'sign-up',
    aim: 'sign-up',
    name: 'Sign up, single action',
    note: 'One form and nothing else to do. Brings a confirmation page.',
    single: true,
    rows: [
      single[0],
      row('sign-up-single', 'sign-up', 'Claim, form, done: the action stands in the first screen.'),
      row('reasons-three', 'reasons', 'For those who hesitate: what they get for their address.'),
      row('proof-one-quote', 'proof', 'One voice is enough on so short a page.'),
      single[1],
    ],
  },
  {
    id: 'download',
    aim: 'download',
    name: 'Download, single action',
    note: 'Something to take away in return for an address. Brings a confirmation page.',
    single: true,
    rows: [
      single[0],
      row('opening-form', 'opening', 'What is given stands beside the form that gives it.'),
      row('work-gallery', 'work', 'Shows the thing itself: a look inside.'),
      row('reasons-icon-rows', 'reasons', 'What it is good for, point by point.'),
      row('questions-two', 'questions', 'Format, size, what happens with the address.'),
      single[1],
    ],
  },
  {
    id: 'buy',
    aim: 'buy',
    name: 'Buy',
    note: 'A thing with a price: what it solves, how it looks, what it costs.',
    single: false,
    rows: [
      bar,
      row('opening-split', 'opening', 'The thing and the claim side by side.'),
      row('problem-margin', 'problem', 'Those who have the problem recognise themselves.'),
      row('work-rows', 'work', 'The thing from near, one strength to a row.'),
      row('proof-figures', 'proof', 'Figures that can be checked.'),
      row('prices-cards', 'prices', 'The choice and its price, side by side.'),
      row('questions-margin', 'questions', 'Delivery, return, warranty: what is asked before paying.'),
      closing,
      footer,
    ],
  },
  {
    id: 'contact',
    aim: 'contact',
    name: 'Get in touch',
    note: 'For services: what is done for whom, who does it, and how to ask.',
    single: false,
    rows: [
      bar,
      row('opening-statement', 'opening', 'One sentence says what is done and for whom.'),
      row('problem-list', 'problem', 'What brings people here, in their own words.'),
      row('plan-rows', 'plan', 'What happens after they write.'),
      row('people-grid', 'people', 'They will write to a person, not to a form.'),
      row('proof-beside', 'proof', 'What others say of the work.'),
      row('contact-form', 'contact', 'The action itself: short, with another way beside it.'),
      footer,
    ],
  },
  {
    id: 'show-work',
    aim: 'show-work',
    name: 'Show work',
    note: 'For makers: the work first, words after.',
    single: false,
    rows: [
      bar,
      row('opening-short', 'opening', 'Name and trade; the work begins in the first screen.'),
      row('work-cards', 'work', 'The work, as large as it can be.'),
      row('story-picture', 'story', 'How it is made, and by whom.'),
      row('proof-logos', 'proof', 'Who has trusted this hand.'),
      row('contact-details', 'contact', 'How to ask for something of one’s own.'),
      footer,
    ],
  },
]

export const outlinesFor = (aim: Aim | null): Outline[] => {
  const first = OUTLINES.filter((one) => one.aim === aim)
  return [...first, ...OUTLINES.filter((one) => one.aim !== aim)]
}
