import { useMemo } from 'react'
import type { Block, BlockOf } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import type { Steps } from '#core/motion/steps'
import { findBlock } from '#core/site/tree'
import { Finding, Row } from '../../fields/row'
import { useSession, useSessionStore } from '../../session/context'
import { edit, pageOf } from '../../session/store'
import { nameWithWords, shortName } from '#core/blocks/name-with-words'
import { Choice } from '../../ui/choice'
import { LineFields } from './line-fields'
import { Segments } from './segments'

const FIRST = 'first'

/** What a group may follow: the sections of its page, and the groups beside it in its own section. */
function useFollowable(group: Block): { value: string; label: string }[] {
  const page = useSession(pageOf)
  const site = useSession((state) => state.session.site)
  const { language } = site
  return useMemo(() => {
    const ancestors: readonly Block[] = findBlock(site, group.id)?.ancestors ?? []
    const around = new Set([...ancestors, ...walk(group)].map((one) => one.id))
    return page.sections.flatMap((section) => [
      { value: section.id, label: `Section ${nameWithWords(section, language)}` },
      ...(section.id === ancestors[0]?.id ? [...walk(section)] : []).flatMap((one) =>
        one.kind === 'group' && !around.has(one.id) ? [{ value: one.id, label: nameWithWords(one, language) }] : [],
      ),
    ])
  }, [site, page, group, language])
}

/** What shows the blocks of a group one at a time: buttons, or others of the page as they pass a line of the window. */
export function StepRows({ block }: { block: BlockOf<'group'> }) {
  const store = useSessionStore()
  const { steps } = block
  const set = (next: Steps | null) => edit(store, { kind: 'field', block: block.id, field: 'steps', value: next })
  const options = useFollowable(block)
  const language = useSession((state) => state.session.site.language)
  const gone = steps?.at.some(({ of }) => !options.some((one) => one.value === of))
  const wait = (child: string, of: string) => {
    if (!steps) return
    const others = steps.at.filter((one) => one.block !== child)
    set({ ...steps, at: of === FIRST ? others : [...others, { block: child, of }] })
  }
  return (
    <>
      <Row label="Shown by">
        <Segments
          label="What shows its blocks"
          value={steps ? 'scroll' : 'buttons'}
          options={[
            { value: 'buttons', label: 'Buttons' },
            { value: 'scroll', label: 'The scroll' },
          ]}
          onChange={(by) => set(by === 'scroll' ? { line: { value: 50, unit: '%' }, at: [] } : null)}
        />
      </Row>
      {steps && (
        <>
          <Row label="As passes">
            <LineFields label="Line of the steps" line={steps.line} onChange={(line) => set({ ...steps, line })} />
          </Row>
          {block.children.map((child) => (
            <Row key={child.id} label={shortName(child, language)}>
              <Choice
                className="flex-1"
                label={`What shows: ${shortName(child, language)}`}
                placeholder="Deleted"
                value={
                  steps.at.some((one) => one.block === child.id)
                    ? (options.find((one) => steps.at.some((each) => each.block === child.id && each.of === one.value))?.value ??
                      null)
                    : FIRST
                }
                options={[{ value: FIRST, label: 'At first' }, ...options]}
                onChange={(of) => wait(child.id, of)}
              />
            </Row>
          ))}
          {gone && <Finding well={false}>A block waits for one that was deleted, so it is never shown by the scroll.</Finding>}
          {!gone && steps.at.length === 0 && (
            <Finding well={false}>Choose what each block waits for: the first is shown until then.</Finding>
          )}
        </>
      )}
    </>
  )
}
