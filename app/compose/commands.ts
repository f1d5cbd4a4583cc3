import { BLOCK_KINDS, type BlockKind } from '#core/blocks/index'
import type { Block } from '#core/blocks/index'
import { JOBS } from '#core/blocks/section'
import { hasWords, walk } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import { type Command, UNDO_COMMANDS } from '../session/command'
import { addBlock, addSection, insertPlace, pasteInPlace } from './insert'
import { addLine, canAddLine } from './line-edits'
import { canPlaceCopy, canShare, makeIndependent, placeCopy, selectedCopies, shareSelection } from './sharing'
import {
  deleteSelection,
  duplicateSelection,
  groupSelection,
  moveIn,
  moveOut,
  moveSelection,
  pasteOnly,
  pickUp,
  selectAlike,
  selectSiblings,
  stepSelection,
  toggleHidden,
  toggleLocked,
  ungroupSelection,
  editWords,
} from './on-selection'
import { toggleMainAndNarrow } from '../session/desk'
import { blockName } from '#core/blocks/block-name'
import { BLOCK_TERMS, JOB_TERMS } from './by-name/terms'
import { allSelected, type SessionStore, pageOf, select, selected, selectMany } from '../session/store'

const hasGroup = (store: SessionStore) => allSelected(store.getState()).some((one) => one.block.kind === 'group')
const hasCopied = (store: SessionStore) => store.getState().copied !== null
const hasSelection = (store: SessionStore) => store.getState().selection !== null

const hasPicture = (store: SessionStore) => {
  const block = selected(store.getState())?.block
  return block?.kind === 'picture' && block.picture !== undefined
}

/** Begins or ends moving the selected picture inside its frame. */
function cropSelection(store: SessionStore): void {
  const { selection, cropping } = store.getState()
  store.setState({ cropping: cropping === null ? selection : null })
}

/** Scrolls the stage to a section and selects it. */
export function goToSection(store: SessionStore, by: 1 | -1): void {
  const state = store.getState()
  const { sections } = pageOf(state)
  const place = selected(state)
  const now = place ? sections.findIndex((one) => one.id === (place.ancestors[0] ?? place.block).id) : by > 0 ? -1 : sections.length
  const next = sections[now + by]
  if (next) select(store, next.id)
}

/** The block before or after the one that leads. */
function beside(store: SessionStore, by: 1 | -1): string | undefined {
  const state = store.getState()
  const place = selected(state)
  const siblings: readonly { id: string }[] = place?.ancestors.at(-1)?.children ?? pageOf(state).sections
  const now = siblings.findIndex((one) => one.id === place?.block.id)
  return siblings[now + by]?.id
}

function selectBeside(store: SessionStore, by: 1 | -1): void {
  const next = beside(store, by)
  if (next !== undefined) select(store, next)
}

function extendBeside(store: SessionStore, by: 1 | -1): void {
  const { selection, also } = store.getState()
  const next = beside(store, by)
  if (next !== undefined)
    selectMany(
      store,
      [...also, ...(selection === null ? [] : [selection]), next].filter((id, n, all) => all.lastIndexOf(id) === n),
    )
}

function leaveOrDeselect(store: SessionStore): void {
  const { selection, also, picked, drawing, cropping, playhead } = store.getState()
  if (selection === null && playhead !== null) return store.setState({ playhead: null, running: null })
  if (cropping !== null) return store.setState({ cropping: null })
  if (drawing) return store.setState({ drawing: false })
  if (picked) return store.setState({ picked: null })
  if (also.length > 0) return select(store, selection)
  const place = selected(store.getState())
  select(store, place?.ancestors.at(-1)?.id ?? null)
}

function cycleScope(store: SessionStore): void {
  const { scope, session } = store.getState()
  const below = session.site.breakpoints.filter((one) => one.below !== null)
  const now = typeof scope === 'object' ? below.findIndex((one) => one.id === scope.below) : -1
  const next = below[now + 1]
  store.setState({ scope: next ? { below: next.id } : 'base' })
}

/** Shows the scroll ruler, or takes it away and shows the views at rest. */
function toggleScrollRuler(store: SessionStore): void {
  store.setState(({ scrollRuler }) => ({ scrollRuler: !scrollRuler, playhead: null, running: null }))
}

/** Px per second at which the views scroll, where nothing else is chosen. */
export const RUNNING = 400

/** Lets the playhead run from where it stands, or stops it. */
export function runOrStop(store: SessionStore, speed = RUNNING): void {
  const { running, playhead } = store.getState()
  store.setState(running === null ? { scrollRuler: true, playhead: playhead ?? 0, running: speed } : { running: null })
}

const toggle = (name: 'troubleOpen' | 'grid' | 'distances' | 'tray' | 'order') => (store: SessionStore) =>
  store.setState((state) => ({ [name]: !state[name] }))

function openReSet(store: SessionStore): void {
  const place = selected(store.getState())
  if (place) store.setState({ chooser: { section: (place.ancestors[0] ?? place.block).id } })
}

/** Shows every view in the wire look, or, where all are, in the finished one. */
export function toggleWire(store: SessionStore): void {
  const { wire, session } = store.getState()
  const all = session.site.views.map((_, i) => i)
  store.setState({ wire: new Set(all.every((i) => wire.has(i)) ? [] : all) })
}

export const COMMANDS: Command[] = [
  ...UNDO_COMMANDS,
  { name: 'Duplicate the selection', key: 'Ctrl D', run: duplicateSelection, possible: hasSelection },
  { name: 'Draw a block onto the columns', key: 'N', run: (store) => store.setState(({ drawing }) => ({ drawing: !drawing })) },
  { name: 'Delete the selection', key: 'Delete', run: deleteSelection, possible: hasSelection },
  { name: 'Delete the selection', key: 'Backspace', run: deleteSelection, possible: hasSelection },
  { name: 'Put the selection in a group', key: 'Ctrl G', run: groupSelection, possible: hasSelection },
  { name: 'Make a shared block of the selection', key: 'M', run: shareSelection, possible: canShare },
  {
    name: 'Make the copy independent',
    key: 'Shift M',
    run: makeIndependent,
    possible: (store) => selectedCopies(store.getState()).length > 0,
  },
  {
    name: 'Shared blocks: where used, guises, replace',
    key: 'B',
    run: (store) => store.setState({ sharedOpen: true }),
    possible: (store) => store.getState().session.site.shared.length > 0,
  },
  { name: 'Paste in place', key: 'Ctrl Alt V', run: pasteInPlace, possible: hasCopied },
  { name: 'Paste the style alone', key: 'Alt S', run: (store) => pasteOnly(store, 'style'), possible: hasCopied },
  { name: 'Paste the motion alone', key: 'Alt J', run: (store) => pasteOnly(store, 'motion'), possible: hasCopied },
  { name: 'Paste the words alone', key: 'Alt W', run: (store) => pasteOnly(store, 'words'), possible: hasCopied },
  { name: 'Pick up the style, to put it on what is pressed', key: 'Y', run: pickUp, possible: hasSelection },
  { name: 'Take the group away', key: 'Ctrl Shift G', run: ungroupSelection, possible: hasGroup },
  { name: 'Select all beside the selection', key: 'Ctrl A', run: selectSiblings, possible: hasSelection },
  ...(['section', 'page'] as const).flatMap((within) => [
    {
      name: `Select all of the same kind ${within === 'section' ? 'in the section' : 'on the page'}`,
      key: within === 'section' ? 'K' : 'Shift K',
      run: (store: SessionStore) => selectAlike(store, within, 'kind'),
      possible: hasSelection,
    },
    {
      name: `Select all set in the same way ${within === 'section' ? 'in the section' : 'on the page'}`,
      key: within === 'section' ? 'L' : 'Shift L',
      run: (store: SessionStore) => selectAlike(store, within, 'style'),
      possible: hasSelection,
    },
  ]),
  {
    name: 'Move the selection up',
    key: 'Alt ArrowUp',
    run: (store) => moveSelection(store, -1),
    possible: hasSelection,
  },
  {
    name: 'Move the selection down',
    key: 'Alt ArrowDown',
    run: (store) => moveSelection(store, 1),
    possible: hasSelection,
  },
  { name: 'Move the selection out of its group', key: 'Alt ArrowLeft', run: moveOut, possible: hasSelection },
  {
    name: 'Move the selection into the group before',
    key: 'Alt ArrowRight',
    run: moveIn,
    possible: hasSelection,
  },
  {
    name: 'A column to the left',
    key: 'ArrowLeft',
    run: (store) => stepSelection(store, { start: -1 }),
    possible: hasSelection,
  },
  {
    name: 'A column to the right',
    key: 'ArrowRight',
    run: (store) => stepSelection(store, { start: 1 }),
    possible: hasSelection,
  },
  {
    name: 'A column narrower',
    key: 'Shift ArrowLeft',
    run: (store) => stepSelection(store, { span: -1 }),
    possible: hasSelection,
  },
  {
    name: 'A column wider',
    key: 'Shift ArrowRight',
    run: (store) => stepSelection(store, { span: 1 }),
    possible: hasSelection,
  },
  { name: 'Hide or show the selection', key: 'H', run: toggleHidden, possible: hasSelection },
  { name: 'Lock or unlock the selection', key: 'U', run: toggleLocked, possible: hasSelection },
  { name: 'Edit the words, or go inside', key: 'Enter', run: editWords, possible: hasSelection },
  { name: 'Select what holds the selection', key: 'Escape', run: leaveOrDeselect },
  { name: 'Select the block before', key: 'ArrowUp', run: (store) => selectBeside(store, -1) },
  { name: 'Select the block after', key: 'ArrowDown', run: (store) => selectBeside(store, 1) },
  { name: 'Add the block before to the selection', key: 'Shift ArrowUp', run: (store) => extendBeside(store, -1) },
  { name: 'Add the block after to the selection', key: 'Shift ArrowDown', run: (store) => extendBeside(store, 1) },
  { name: 'Previous section', key: '[', run: (store) => goToSection(store, -1) },
  { name: 'Next section', key: ']', run: (store) => goToSection(store, 1) },
  { name: 'Add a section in an arrangement', key: 'A', run: (store) => store.setState({ chooser: {} }) },
  { name: 'Re-set the section in another arrangement', key: 'S', run: openReSet, possible: hasSelection },
  { name: 'Column grid', key: 'G', run: toggle('grid') },
  { name: 'Guide line down the section', key: 'V', run: (store) => addLine(store, 'down'), possible: canAddLine },
  { name: 'Guide line across the section', key: 'Shift V', run: (store) => addLine(store, 'across'), possible: canAddLine },
  { name: 'Distances', key: 'D', run: toggle('distances') },
  { name: 'Trouble band: widths at which something is wrong', key: 'E', run: toggle('troubleOpen') },
  { name: 'Scroll ruler and motion', key: 'J', run: toggleScrollRuler },
  { name: 'Run the playhead, or stop it', key: 'Shift J', run: (store) => runOrStop(store) },
  { name: 'Pictures of the site', key: 'I', run: (store) => store.setState({ picturesOpen: true }) },
  { name: 'Crop the picture in its frame', key: 'C', run: cropSelection, possible: hasPicture },
  { name: 'Tray', key: 'T', run: toggle('tray') },
  { name: 'Running order', key: 'O', run: toggle('order') },
  { name: 'Widest and narrowest view alone, or all', key: 'F', run: toggleMainAndNarrow },
  { name: 'Wire look in all views', key: 'W', run: toggleWire },
  {
    name: 'Compare the wire look and the finished look',
    key: 'Shift W',
    run: (store) => store.setState((state) => ({ comparing: !state.comparing })),
  },
  { name: 'Next range of widths to edit', key: 'R', run: cycleScope },
  {
    name: 'Table of exceptions',
    key: 'X',
    run: (store) => store.setState({ exceptionsOpen: true }),
    possible: hasSelection,
  },
  { name: 'All views', key: '0', run: (store) => store.setState({ shown: 'all' }) },
  ...[1, 2, 3, 4].map((n) => ({
    name: `View ${n} alone on the stage`,
    key: String(n),
    run: (store: SessionStore) => store.setState({ shown: n - 1 }),
    possible: (store: SessionStore) => n <= store.getState().session.site.views.length,
  })),
]

/** Kinds of block that are added by name; items and links stand in lists and navs. */
export const ADDABLE: readonly BlockKind[] = BLOCK_KINDS.filter((kind) => kind !== 'section')

export const ADD_COMMANDS: Command[] = [
  ...ADDABLE.map((kind) => ({
    name: `Add ${kind}`,
    also: `${kind}, ${BLOCK_TERMS[kind] ?? ''}`,
    run: (store: SessionStore) => addBlock(store, kind),
    possible: (store: SessionStore) => insertPlace(store.getState(), kind) !== undefined,
  })),
  ...JOBS.map((job) => ({
    name: `Add section: ${job.replace('-', ' ')}`,
    also: `${job}, ${JOB_TERMS[job] ?? ''}`,
    run: (store: SessionStore) => addSection(store, job),
  })),
]

/** Placing a copy of each shared block. */
export const copyCommands = (store: SessionStore): Command[] =>
  store.getState().session.site.shared.map(({ id, name }) => ({
    name: `Place a copy of ${name}`,
    run: () => placeCopy(store, id),
    possible: () => canPlaceCopy(store, id),
  }))

/** The first words of a block, or of what it holds. */
function leadOf(block: Block, language: string): string {
  const worded = [...walk(block)].filter(hasWords).find((one) => plainText(one.words[language] ?? []).trim() !== '')
  return worded ? plainText(worded.words[language]!).trim().slice(0, 60) : ''
}

/** Going to each section of the page, and to each block by its name and words. */
export function blockCommands(store: SessionStore): Command[] {
  const state = store.getState()
  const { language } = state.session.site
  return pageOf(state).sections.flatMap((section, i) => [
    { name: `Go to section ${i + 1}: ${blockName(section)}`, ofPage: true, run: () => select(store, section.id) },
    ...[...walk(section)].slice(1).map((block, n) => {
      const lead = leadOf(block, language)
      // Two blocks of one name are told apart by where they stand.
      return {
        name: `Go to ${blockName(block)}${lead === '' ? '' : ` “${lead}”`}, ${i + 1}.${n + 1} in ${blockName(section)}`,
        ofPage: true as const,
        run: () => select(store, block.id),
      }
    }),
  ])
}
