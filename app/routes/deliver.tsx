import { pageFile } from '#core/render/own-links'
import { findings } from '#core/analysis/checks/index'
import { notExcused } from '#core/site/excuse'
import { store } from '#server/database'
import { getSite } from '#server/sites'
import { printed } from '#server/web-export'
import { Deliver } from '../deliver/deliver'
import type { Route } from './+types/deliver'
import { loading, pageOfSite } from './answers'

export async function loader({ params, request }: Route.LoaderArgs) {
  const { id, site, revision, exportedRevision } = loading(() => getSite(store(), params.siteId))
  const page = pageOfSite(site, params.pageId)
  const style = new URL(request.url).searchParams.get('style') === 'minified' ? ('minified' as const) : ('readable' as const)
  const files = await printed(site, style)
  return {
    siteId: id,
    site,
    page,
    file: pageFile(page),
    exported: exportedRevision === revision,
    style,
    texts: files.texts.map(({ file, text }) => ({
      file,
      text,
      bytes: new TextEncoder().encode(text).length,
    })),
    pictures: files.pictures.map(({ file }) => file),
    fonts: files.fonts.map(({ file }) => file),
    findings: notExcused(site.excuses, findings(site)),
  }
}

export const meta = ({ loaderData }: Route.MetaArgs) => [{ title: `Deliver · ${loaderData?.page.name ?? ''}` }]

export default function DeliverRoute({ loaderData }: Route.ComponentProps) {
  return <Deliver {...loaderData} />
}
