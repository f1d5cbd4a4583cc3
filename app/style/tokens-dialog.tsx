import { useMemo, useState } from 'react'
import {
  firstTicked,
  namesIn,
  surveyTokens,
  TOKEN_PARTS,
  type TokenOffer,
  type TokenPart,
  type TokenRefusal,
  withTokensTaken,
} from '#core/formats/token-survey'
import { Button } from '../ui/button'
import { Choice } from '../ui/choice'
import { useGuide } from './use-guide'
import { TitledDialog } from '../ui/dialog'

const TITLES: Record<TokenPart, string> = {
  colours: 'Colour roles',
  faces: 'Faces',
  types: 'Type roles',
  spaces: 'Spaces',
  corners: 'Corners',
  shadows: 'Shadows',
}

type TokensDialogProps = { files: { name: string; text: string }[]; onClose: () => void }

/** What can be taken of token files from elsewhere: ticked one by one, and each given its place in the guide. */
export function TokensDialog({ files, onClose }: TokensDialogProps) {
  const { guide, setAll } = useGuide()
  const { offers, refusals } = useMemo(() => surveyTokens(files, guide), [files, guide])
  const [chosen, setChosen] = useState(() => firstTicked(offers))
  const [problem, setProblem] = useState('')
  const set = (offer: TokenOffer, name: string | null) => {
    const next = new Map(chosen)
    if (name === null) next.delete(offer)
    else next.set(offer, name)
    setProblem('')
    setChosen(next)
  }
  const take = () => {
    try {
      const next = withTokensTaken(
        guide,
        [...chosen].map(([offer, name]) => ({ offer, name })),
      )
      if (setAll(`read ${files.map((one) => one.name).join(', ')}`.slice(0, 110), next)) onClose()
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  return (
    <TitledDialog title="Tokens to take" className="top-[6vh] flex max-h-[88vh] w-[720px] flex-col gap-3" onClose={onClose}>
      <p className="text-ink-2">
        <span className="figure">{offers.length}</span> can be taken out of {files.map((one) => one.name).join(', ')},{' '}
        <span className="figure">{chosen.size}</span> are ticked.
        {refusals.length > 0 && ` ${refusals.length} cannot be taken.`}
      </p>
      <div className="relative min-h-0 flex-1 overflow-y-auto border border-line bg-field">
        {(Object.keys(TOKEN_PARTS) as TokenPart[]).map((part) => (
          <Offers
            key={part}
            title={TITLES[part]}
            offers={offers.filter((one) => one.part === part)}
            own={namesIn(guide, part)}
            chosen={chosen}
            onSet={set}
          />
        ))}
        <Refusals list={refusals} />
      </div>
      {problem !== '' && (
        <p role="alert" className="bg-rust-wash px-2 py-1 text-rust">
          {problem}
        </p>
      )}
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Cancel</Button>
        <Button look="primary" disabled={chosen.size === 0} onClick={take}>
          {`Take ${chosen.size} ${chosen.size === 1 ? 'token' : 'tokens'}`}
        </Button>
      </div>
    </TitledDialog>
  )
}

type OffersProps = {
  title: string
  offers: TokenOffer[]
  own: string[]
  chosen: ReadonlyMap<TokenOffer, string>
  onSet: (offer: TokenOffer, name: string | null) => void
}

function Offers({ title, offers, own, chosen, onSet }: OffersProps) {
  if (offers.length === 0) return null
  return (
    <section>
      <h3 className="border-b border-line bg-panel px-3 py-1 font-semibold">{title}</h3>
      <ul>
        {offers.map((offer) => {
          const isOwn = own.includes(offer.name)
          const options = [
            ...(isOwn ? [] : [{ value: offer.name, label: `a new one, ${offer.name}` }]),
            ...own.map((name) => ({ value: name, label: name })),
          ]
          return (
            <li
              key={`${offer.file} ${offer.path}`}
              className="grid grid-cols-[24px_18px_1fr_110px_190px] items-center gap-x-2 border-b border-line px-3 py-0.5"
              data-token={offer.path}
            >
              <input
                type="checkbox"
                aria-label={`Take ${offer.path}`}
                className="h-6 w-4 accent-ink"
                checked={chosen.has(offer)}
                onChange={(event) => onSet(offer, event.target.checked ? (offer.stands ?? offer.name) : null)}
              />
              <span
                aria-hidden
                className={`h-4 w-4 ${offer.part === 'colours' ? 'border border-line-strong' : ''}`}
                style={offer.part === 'colours' ? { background: offer.shown } : {}}
              />
              <span className="truncate" title={`${offer.path}, ${offer.file}`}>
                {offer.path}
              </span>
              <span className="figure truncate text-ink-2" title={offer.shown}>
                {offer.shown}
              </span>
              <Choice
                label={`${offer.path} becomes`}
                value={chosen.get(offer) ?? offer.stands ?? offer.name}
                options={options}
                onChange={(name) => onSet(offer, name)}
              />
            </li>
          )
        })}
      </ul>
    </section>
  )
}

function Refusals({ list }: { list: TokenRefusal[] }) {
  if (list.length === 0) return null
  return (
    <details className="px-3 py-1.5">
      <summary className="min-h-6 cursor-pointer font-semibold">{list.length} that cannot be taken, and why</summary>
      <ul className="mt-1 space-y-1">
        {list.map(({ file, path, reason }) => (
          <li key={`${file} ${path}`} className="text-label text-ink-2">
            <span className="text-ink">{path === '' ? file : path}</span>: {reason}
          </li>
        ))}
      </ul>
    </details>
  )
}
