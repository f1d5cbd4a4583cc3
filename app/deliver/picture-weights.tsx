import { useState } from 'react'
import { toast } from 'sonner'
import type { ViewWeight } from '#core/analysis/first-load'
import type { WebChoices } from '#core/picture/measured'
import type { Site } from '#core/site/schema'
import { kilobytes } from '#core/values/weight'
import { ask } from '../ui/ask'
import { Button } from '../ui/button'

/** What the pictures of each page weigh in each view, against the originals as they came. */
export function PictureWeights({ siteId, site, choicesOf }: { siteId: string; site: Site; choicesOf: () => Promise<WebChoices> }) {
  const [weights, setWeights] = useState<ViewWeight[]>()
  const [busy, setBusy] = useState(false)
  const weigh = async () => {
    setBusy(true)
    try {
      const answer = await ask<ViewWeight[]>('The pictures were not weighed', `/sites/${siteId}/export/weights`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(await choicesOf()),
      })
      if ('problem' in answer) toast.error(answer.problem)
      else setWeights(answer)
    } finally {
      setBusy(false)
    }
  }
  return (
    <div className="mt-3">
      <Button disabled={busy} onClick={() => void weigh()}>
        {busy ? 'Making and weighing' : 'Weigh the pictures in each view'}
      </Button>
      {weights && (
        <table className="mt-2 w-full" aria-label="Weights of the pictures">
          <thead>
            <tr className="text-left text-label text-ink-2">
              <th className="font-normal">Page</th>
              <th className="font-normal">View</th>
              <th className="text-right font-normal">Files</th>
              <th className="text-right font-normal">Loaded</th>
              <th className="text-right font-normal">Originals</th>
              <th className="text-right font-normal">Share</th>
            </tr>
          </thead>
          <tbody>
            {weights
              .filter((one) => one.files > 0)
              .map((one) => (
                <tr key={`${one.page} ${one.width} ${one.density}`} className="border-t border-line">
                  <td className="truncate py-0.5">{site.pages.find(({ id }) => id === one.page)?.name}</td>
                  <td className="figure">
                    {one.width}, {one.density}x
                  </td>
                  <td className="figure text-right">{one.files}</td>
                  <td className="figure text-right">{kilobytes(one.taken)}</td>
                  <td className="figure text-right">{kilobytes(one.naive)}</td>
                  <td className="figure text-right">{one.naive === 0 ? '' : `${Math.round((one.taken / one.naive) * 100)} %`}</td>
                </tr>
              ))}
          </tbody>
        </table>
      )}
    </div>
  )
}
