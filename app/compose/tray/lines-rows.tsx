import { X } from 'lucide-react'
import { type GuideLine, lineInWords } from '#core/blocks/guide-line'
import type { Section } from '#core/blocks/section'
import { LengthField } from '../../fields/length-field'
import { Row } from '../../fields/row'
import { useSessionStore } from '../../session/context'
import { Button, IconButton } from '../../ui/button'
import { addLine, canAddLine, setLines } from '../line-edits'

const NAMES = { down: 'Down', across: 'Across' } as const

/** The guide lines of a section, by figures. */
export function LinesRows({ block }: { block: Section }) {
  const store = useSessionStore()
  const lines = block.guideLines ?? []
  const put = (n: number, line: GuideLine | undefined) =>
    setLines(
      store,
      block,
      lines.flatMap((one, i) => (i === n ? (line ?? []) : one)),
    )
  return (
    <>
      {lines.map((line, n) => (
        <Row key={n} label={n === 0 ? 'Lines' : ''}>
          <span className="w-12 self-center text-label text-ink-2">{NAMES[line.axis]}</span>
          <LengthField
            label={`Guide line ${n + 1}, ${line.axis}`}
            units={['px', '%']}
            fluid={false}
            least={0}
            value={{ value: line.at, unit: line.unit }}
            onChange={(value) => {
              if (value === null) put(n, undefined)
              else if ('unit' in value && (value.unit === 'px' || value.unit === '%'))
                put(n, { axis: line.axis, at: value.value, unit: value.unit })
            }}
          />
          <IconButton label={`Remove the guide line at ${lineInWords(line)}`} className="h-6 w-6" onClick={() => put(n, undefined)}>
            <X size={14} strokeWidth={1.5} />
          </IconButton>
        </Row>
      ))}
      {canAddLine(store) && (
        <Row label={lines.length === 0 ? 'Lines' : ''}>
          {(['down', 'across'] as const).map((axis) => (
            <Button
              key={axis}
              className="h-[26px] min-w-0 flex-1"
              title={`A guide line ${axis} the section`}
              aria-label={`Line ${axis}`}
              onClick={() => addLine(store, axis)}
            >
              {axis === 'down' ? 'Down' : 'Across'}
            </Button>
          ))}
        </Row>
      )}
    </>
  )
}
