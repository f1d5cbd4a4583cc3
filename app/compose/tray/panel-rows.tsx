import type { Block, BlockOf, Section } from '#core/blocks/index'
import { blockName } from '#core/blocks/block-name'
import { firstWords } from '#core/blocks/name-with-words'
import { walk } from '#core/blocks/tree'
import { isOpened, PANELS, type Panel, showsOne } from '#core/blocks/panel'
import { pressesOn } from '#core/render/panels'
import { Finding, Row } from '../../fields/row'
import { useSession, useSessionStore } from '../../session/context'
import { edit, editAll, pageOf } from '../../session/store'
import { Choice } from '../../ui/choice'
import { StepRows } from './step-rows'

const SEEN: Record<Panel, string> = {
  details: 'Under its first block, pressed',
  drop: 'Below the button that opens it',
  dialog: 'Mid-window, from a button',
  cover: 'Over the window, from a button',
}

/** Most buttons that are offered to open a group. */
const MOST_OPENERS = 3

/** Buttons that might open a group: those before it first, the nearest of them first, and of all those that lead nowhere yet. */
function openersFor(sections: readonly Section[], group: Block): BlockOf<'button'>[] {
  const all = sections.flatMap((section) => [...walk(section)])
  const inside = new Set([...walk(group)].map((one) => one.id))
  const at = all.findIndex((one) => one.id === group.id)
  return all
    .map((block, n) => ({ block, away: n < at ? at - n : 1000 + n - at }))
    .filter((one): one is { block: BlockOf<'button'>; away: number } => one.block.kind === 'button' && !inside.has(one.block.id))
    .filter(({ block }) => !block.press && !block.disabled)
    .sort((a, b) => Number(Boolean(a.block.link)) - Number(Boolean(b.block.link)) || a.away - b.away)
    .slice(0, MOST_OPENERS)
    .map((one) => one.block)
}

/** When a group is seen: at all times, or once it is asked for; and whether its blocks are shown one at a time. */
export function PanelRows({ block }: { block: BlockOf<'group'> }) {
  const store = useSessionStore()
  const page = useSession(pageOf)
  const language = useSession((state) => state.session.site.language)
  const set = (field: 'panel' | 'open' | 'oneOpen' | 'oneShown', value: Panel | true | null) =>
    edit(store, { kind: 'field', block: block.id, field, value })
  const check = (field: 'open' | 'oneOpen' | 'oneShown', label: string) => (
    <label className="flex min-h-6 items-center gap-2">
      <input
        type="checkbox"
        className="accent-ink"
        checked={block[field] === true}
        onChange={(event) => set(field, event.target.checked || null)}
      />
      {label}
    </label>
  )
  const questions = block.children.some((one) => one.kind === 'group' && one.panel === 'details')
  const named = new Set(pressesOn(page).values())
  const reached = (showsOne(block) ? block.children : [block]).filter((one) => named.has(one.id))
  return (
    <>
      <Row label="Seen">
        <Choice
          className="flex-1"
          label="When the group is seen"
          value={block.panel ?? 'always'}
          options={[{ value: 'always', label: 'Always' }, ...PANELS.map((value) => ({ value, label: SEEN[value] }))]}
          onChange={(value) => set('panel', value === 'always' ? null : (value as Panel))}
        />
      </Row>
      {block.panel === 'details' && check('open', 'Open to begin with')}
      {questions && check('oneOpen', 'Opening one shuts the others')}
      {!block.panel && block.children.length > 1 && check('oneShown', 'One of its blocks is shown at a time')}
      {showsOne(block) && <StepRows block={block} />}
      {isOpened(block) && reached.length === 0 && (
        <Finding well={false}>
          No button opens it.{' '}
          {openersFor(page.sections, block).map((button) => (
            <button
              key={button.id}
              type="button"
              className="mr-2 min-h-6 underline"
              onClick={() =>
                editAll(store, 'opened by a button', [
                  ...(button.link ? [{ kind: 'field' as const, block: button.id, field: 'link' as const, value: null }] : []),
                  { kind: 'field', block: button.id, field: 'press', value: { opens: block.id } },
                ])
              }
            >
              Let “{firstWords(button, language) || blockName(button)}” open it
            </button>
          ))}
          {openersFor(page.sections, block).length === 0 && 'Add a button, and choose it there: States, Leads to, Opens.'}
        </Finding>
      )}
      {showsOne(block) && !block.steps && reached.length < block.children.length && (
        <Finding well={false}>
          {block.children.length - reached.length} of its {block.children.length} blocks have no button that shows them.
        </Finding>
      )}
    </>
  )
}
