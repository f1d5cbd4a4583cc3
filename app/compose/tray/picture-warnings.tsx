import { useMemo } from 'react'
import { pictureWarnings, warningInWords } from '#core/analysis/picture-warnings'
import type { Section } from '#core/blocks/index'
import type { Picture } from '#core/picture/picture'
import type { Place } from '#core/site/tree'
import { Finding } from '../../fields/row'
import { useSession } from '../../session/context'
import { useRested } from '../../ui/lagging'

/** What is wrong with a picture where it stands, at any width. */
export function PictureWarnings({ place, picture }: { place: Place; picture: Picture }) {
  const site = useRested(
    useSession((state) => state.session.site),
    250,
  )
  const sectionId = (place.ancestors[0] ?? place.block).id
  const warnings = useMemo(() => {
    const section = site.pages.flatMap((page): readonly Section[] => page.sections).find((one) => one.id === sectionId)
    return (section && pictureWarnings(site, section).get(place.block.id)) ?? []
  }, [site, sectionId, place.block.id])
  return (
    <>
      {warnings.map((one) => (
        <Finding key={one.kind} well={one.kind === 'larger at 2x'}>
          {warningInWords(one, picture)}
        </Finding>
      ))}
    </>
  )
}
