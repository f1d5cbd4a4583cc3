import { type Line, LINES } from '#core/motion/motion'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'

type LineFieldsProps = { label: string; line: Line; onChange: (line: Line) => void }

/** A line of the window from its top, in px or in percent of its height. */
export const LineFields = ({ label, line, onChange }: LineFieldsProps) => (
  <>
    <NumberField
      className="flex-1"
      label={`${label} of the window`}
      unit={line.unit === '%' ? '% down' : 'px down'}
      value={line.value}
      {...LINES}
      step={line.unit === '%' ? 5 : 10}
      onChange={(value) => onChange({ ...line, value })}
    />
    <Choice
      className="w-[58px]"
      label={`Unit of: ${label.toLowerCase()}`}
      value={line.unit}
      options={[
        { value: '%', label: '%' },
        { value: 'px', label: 'px' },
      ]}
      onChange={(unit) => onChange({ ...line, unit })}
    />
  </>
)
