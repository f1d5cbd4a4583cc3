import type { Place } from '#core/site/tree'
import { type Copy, copiesOf, copyAround, guiseOf, sharedOf } from '#core/shared/copies'
import { ownValues } from '#core/shared/own'
import { ColumnHead, Finding, Row } from '../../fields/row'
import { useSession, useSessionStore } from '../../session/context'
import { edit, makeId } from '../../session/store'
import { Button } from '../../ui/button'
import { Choice } from '../../ui/choice'
import { settleOwn } from '../copy-edits'
import { makeIndependent, reachOf } from '../sharing'

const NONE = 'none'
const NEW = 'new'

/** The shared block that a copy is of: its guise, what is its own, and what a change reaches. */
export function SharedColumn({ place }: { place: Place }) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const copy = copyAround(place)
  const shared = copy && sharedOf(site, copy.copyOf.shared)
  if (!copy || !shared) return null
  const all = copiesOf(site, shared.id).length
  const own = ownValues(shared, copy, place.block)
  const wear = (guise: string) => {
    if (guise !== NEW) return void edit(store, { kind: 'guise', block: copy.id, guise: guise === NONE ? null : guise })
    const id = makeId()
    const name = `Guise ${shared.guises.length + 1}`
    const guises = [...shared.guises, { id, name, parts: {} }]
    edit(store, {
      kind: 'batch',
      label: 'new guise',
      edits: [
        { kind: 'guises', shared: shared.id, guises },
        { kind: 'guise', block: copy.id, guise: id },
      ],
    })
  }
  return (
    <div>
      <ColumnHead title="Shared" note={`${all} ${all === 1 ? 'copy' : 'copies'}`} />
      <Row label="Guise">
        <Choice
          className="flex-1"
          label="Guise of the copy"
          value={copy.copyOf.guise ?? NONE}
          options={[
            { value: NONE, label: 'None' },
            ...shared.guises.map((one) => ({ value: one.id, label: one.name })),
            { value: NEW, label: 'A new one' },
          ]}
          onChange={wear}
        />
      </Row>
      {guiseOf(shared, copy.copyOf.guise) && <ReachRow copy={copy} all={all} />}
      {own.length > 0 && (
        <div className="mt-1.5 border-t border-line pt-1.5">
          <p className="text-label text-ink-2">Its own here: {inWords(own.map((one) => one.field))}.</p>
          <div className="mt-1 flex gap-1">
            <Button className="!h-[26px] !px-2" onClick={() => settleOwn(store, copy, own, 'all')}>
              Give to all
            </Button>
            <Button className="!h-[26px] !px-2" onClick={() => settleOwn(store, copy, own, 'shared')}>
              As in the others
            </Button>
          </div>
        </div>
      )}
      <div className="mt-1.5 flex flex-wrap gap-1 border-t border-line pt-2">
        <Button className="!h-[26px] !px-2" onClick={() => makeIndependent(store)}>
          Make independent
        </Button>
        <Button className="!h-[26px] !px-2" onClick={() => store.setState({ sharedOpen: true })}>
          Where used …
        </Button>
      </div>
      <Finding well>Words, pictures, links, and where it stands are each copy’s own.</Finding>
    </div>
  )
}

/** Whether a change is the guise's, or all copies'. */
function ReachRow({ copy, all }: { copy: Copy; all: number }) {
  const store = useSessionStore()
  const reach = useSession((state) => state.reach)
  const worn = useSession((state) => copiesOf(state.session.site, copy.copyOf.shared, copy.copyOf.guise).length)
  return (
    <Row label="Changes">
      {(['guise', 'all'] as const).map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={reach === one}
          className="h-[26px] flex-1 rounded-2 border border-line-strong bg-field aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
          onClick={() => store.setState({ reach: one })}
        >
          {one === 'guise' ? 'This guise' : 'All copies'} <span className="figure">{one === 'guise' ? worn : all}</span>
        </button>
      ))}
    </Row>
  )
}

/** What each field is called, counted: “3 words, 1 picture”. */
function inWords(fields: readonly string[]): string {
  const names: Record<string, [string, string]> = {
    words: ['block of words', 'blocks of words'],
    picture: ['picture', 'pictures'],
    alt: ['alternative text', 'alternative texts'],
    link: ['link', 'links'],
  }
  return Object.entries(names)
    .map(([field, [one, many]]) => ({ count: fields.filter((name) => name === field).length, one, many }))
    .filter(({ count }) => count > 0)
    .map(({ count, one, many }) => `${count} ${count === 1 ? one : many}`)
    .join(', ')
}

/** Says before a change is made how many places it reaches. */
export function ReachNote({ place }: { place: Place }) {
  const copy = copyAround(place)
  // As words, so that what is the same is not painted again.
  const said = useSession((state) => {
    if (!copy) return ''
    const { places, guise } = reachOf(state, copy)
    const [what, count] = [guise === undefined ? '' : ` in the guise ${guise}`, `${places} ${places === 1 ? 'place' : 'places'}`]
    return `A change of style or structure here will change ${count}${what}.`
  })
  return copy ? (
    <p role="note" className="my-1.5 border-y border-double border-ink py-1 text-label">
      {said}
    </p>
  ) : null
}
