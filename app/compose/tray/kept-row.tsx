import type { Block } from '#core/blocks/index'
import { nameSchema } from '#core/values/name'
import { walkPage } from '#core/site/tree'
import { Finding, Row } from '../../fields/row'
import { useSession, useSessionStore } from '../../session/context'
import { edit, pageOf } from '../../session/store'
import { takenBy, TakenField } from '../../ui/taken-field'

/** The name by which a block is the same thing on several pages, and stays in sight from one to the next. */
export function KeptRow({ block }: { block: Block }) {
  const store = useSessionStore()
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const name = block.style.base?.kept
  const set = (kept: string | null) => edit(store, { kind: 'style', block: block.id, scope: 'base', values: { kept } })
  const twins = (of: typeof page) => [...walkPage(of)].filter((one) => one.style.base?.kept === name && !one.hidden)
  const twice = name !== undefined && twins(page).length > 1
  const elsewhere = name !== undefined && site.pages.some((one) => one !== page && twins(one).length > 0)
  return (
    <>
      <Row label="Kept as">
        <TakenField
          label="Name by which it is kept from page to page"
          placeholder="Not kept from page to page"
          value={name ?? ''}
          onTake={takenBy(nameSchema, set)}
        />
      </Row>
      {twice && <Finding well={false}>Two blocks of this page are kept as “{name}”, so the pages change without it.</Finding>}
      {name !== undefined && !twice && !elsewhere && (
        <Finding well={false}>No other page has a block that is kept as “{name}”.</Finding>
      )}
      {elsewhere && !site.travel?.change && (
        <Finding well={false}>Pages change at once. Choose how they follow each other in the tray of the page.</Finding>
      )}
    </>
  )
}
