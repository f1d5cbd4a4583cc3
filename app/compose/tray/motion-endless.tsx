import type { Block } from '#core/blocks/index'
import { mayPass } from '#core/blocks/strip'
import { LOOPS, type MotionOf, STRIPS } from '#core/motion/motion'
import { Finding, Row } from '../../fields/row'
import { Choice } from '../../ui/choice'
import { NumberField } from '../../ui/number-field'
import type { MotionsAccess } from '../motion/use-motions'
import { MotionCurve } from './motion-curve'

type EndlessProps = { block: Block; motion: MotionOf<'loop' | 'strip'>; motions: MotionsAccess }

/** The time and the way of what goes on for as long as the page is open. */
export function EndlessFields({ block, motion, motions }: EndlessProps) {
  const { least, most } = motion.kind === 'loop' ? LOOPS : STRIPS
  return (
    <>
      <Row label={motion.kind === 'loop' ? 'One way' : 'Round'}>
        <NumberField
          className="flex-1"
          label={motion.kind === 'loop' ? 'Seconds of one way' : 'Seconds until all have passed'}
          unit="s"
          value={motion.duration}
          least={least}
          most={most}
          step={motion.kind === 'loop' ? 0.5 : 5}
          onChange={(duration) => motions.change({ ...motion, duration })}
        />
      </Row>
      {motion.kind === 'loop' ? (
        <>
          <MotionCurve motion={motion} motions={motions} usual="ease" />
          <Row label="Then">
            <Choice
              className="flex-1"
              label="What comes after one way"
              value={motion.anew ? 'anew' : 'back'}
              options={[
                { value: 'back', label: 'Back as it came' },
                { value: 'anew', label: 'Begins anew' },
              ]}
              onChange={(then) => {
                const { anew: _, ...rest } = motion
                motions.change(then === 'anew' ? { ...rest, anew: true } : rest)
              }}
            />
          </Row>
        </>
      ) : (
        <Row label="Goes out">
          <Choice
            className="flex-1"
            label="Side that the blocks go out at"
            value={motion.to}
            options={[
              { value: 'left', label: 'At the left' },
              { value: 'right', label: 'At the right' },
            ]}
            onChange={(to) => motions.change({ ...motion, to })}
          />
        </Row>
      )}
      {motion.kind === 'strip' && !mayPass(block) && (
        <Finding well={false}>It rests: only a group passes, one that is no list and that shows all of its blocks.</Finding>
      )}
      {motion.kind === 'strip' && mayPass(block) && block.style.base?.layout !== 'row' && (
        <Finding well={false}>Its blocks pass in one row. Lay the group out as a row to see them so in the views.</Finding>
      )}
      <Finding well>
        Visitors pause it by a button in the corner of its section; with reduced motion it rests. CSS alone.
        {motion.kind === 'strip' ? ' In the views the blocks stand still.' : ''}
      </Finding>
    </>
  )
}
