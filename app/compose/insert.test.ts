import { beforeEach, describe, expect, test } from 'vitest'
import { newBlock } from '#core/blocks/defaults'
import { demoSite } from '#core/edits/edits.fixture'
import { findBlock, walkPage } from '#core/site/tree'
import { COMMANDS, ADD_COMMANDS, blockCommands, goToSection } from './commands'
import { matches } from '../session/command'
import { addBlock, addSection, insertPlace, paste } from './insert'
import { deleteSelection, duplicateSelection, groupSelection, moveIn, moveOut, moveSelection } from './on-selection'
import { type SessionStore, createSessionStore, makeId, pageOf, select, selected } from '../session/store'

const site = demoSite()
const page = site.pages[0]!
const blocks = [...walkPage(page)]
const reasons = page.sections.find((one) => one.job === 'reasons')!
const reason = reasons.children.find((one) => one.kind === 'group')!
const inReason = 'children' in reason ? reason.children : []
const nav = blocks.find((block) => block.kind === 'nav')!

let store: SessionStore
beforeEach(() => {
  store = createSessionStore('site', page.id, site, 0)
})

const now = () => pageOf(store.getState())
const childrenOf = (id: string) => {
  const found = findBlock(store.getState().session.site, id)?.block
  return found && 'children' in found ? found.children.map((one) => one.id) : []
}

describe('a new block goes', () => {
  test('into the selection if that may hold it', () => {
    select(store, reason.id)
    expect(insertPlace(store.getState(), 'text')).toEqual({ parent: reason.id, index: inReason.length })
  })

  test('after the selection if that holds none', () => {
    select(store, inReason[1]!.id)
    expect(insertPlace(store.getState(), 'text')).toEqual({ parent: reason.id, index: 2 })
  })

  test('after what holds the selection, where its own parent may not hold it', () => {
    select(store, childrenOf(nav.id)[0]!)
    const header = page.sections[0]!
    expect(insertPlace(store.getState(), 'picture')).toEqual({
      parent: header.id,
      index: header.children.findIndex((one) => one.id === nav.id) + 1,
    })
  })

  test('at the end of the page’s last section with nothing selected', () => {
    const last = page.sections.at(-1)!
    expect(insertPlace(store.getState(), 'text')).toEqual({ parent: last.id, index: last.children.length })
  })

  test('as a heading of the first level where the page has none, and of the second after that', () => {
    const level = (id: string | null) => {
      const block = findBlock(store.getState().session.site, id ?? '')?.block
      return block?.kind === 'heading' ? block.level : undefined
    }
    select(store, reason.id)
    addBlock(store, 'heading')
    expect(level(store.getState().selection)).toBe(2)
    const bare = { ...site, pages: [{ ...page, sections: [{ ...reasons, children: [] }] }] }
    store = createSessionStore('site', page.id, bare, 0)
    for (const wanted of [1, 2]) {
      addBlock(store, 'heading')
      expect(level(store.getState().selection)).toBe(wanted)
    }
  })

  test('nowhere where nothing around may hold it', () => {
    select(store, reason.id)
    expect(insertPlace(store.getState(), 'item')).toBeUndefined()
  })

  test('as a section after the selected one, or before the footer', () => {
    expect(insertPlace(store.getState(), 'section')).toEqual({ parent: page.id, index: page.sections.length - 1 })
    select(store, inReason[0]!.id)
    expect(insertPlace(store.getState(), 'section')).toEqual({ parent: page.id, index: page.sections.indexOf(reasons) + 1 })
  })
})

describe('commands on the selection', () => {
  test('a block that takes words is opened for typing, a section is selected', () => {
    select(store, reason.id)
    addBlock(store, 'heading')
    expect(store.getState().words).toEqual({ block: store.getState().selection, view: 0 })
    addBlock(store, 'divider')
    expect(store.getState().words).toBeNull()
    addSection(store, 'story')
    expect(selected(store.getState())?.block).toMatchObject({ kind: 'section', job: 'story' })
  })

  test('duplicate puts a copy with new ids behind it', () => {
    select(store, reason.id)
    duplicateSelection(store)
    const copy = selected(store.getState())!.block
    expect(copy.id).not.toBe(reason.id)
    expect(childrenOf(reasons.id).indexOf(copy.id)).toBe(childrenOf(reasons.id).indexOf(reason.id) + 1)
    const ids = [...walkPage(now())].map((one) => one.id)
    expect(new Set(ids).size).toBe(ids.length)
  })

  test('delete selects the next, else the one before, else what held it', () => {
    select(store, inReason[0]!.id)
    for (const next of [inReason[1]!.id, inReason[2]!.id, reason.id]) {
      deleteSelection(store)
      expect(store.getState().selection).toBe(next)
    }
  })

  test('move goes one place up or down and stops at the ends', () => {
    select(store, inReason[0]!.id)
    moveSelection(store, -1)
    expect(childrenOf(reason.id)).toEqual(inReason.map((one) => one.id))
    moveSelection(store, 1)
    expect(childrenOf(reason.id)).toEqual([inReason[1]!.id, inReason[0]!.id, inReason[2]!.id])
  })

  test('group puts one around it, in its place; a section is not grouped', () => {
    select(store, inReason[1]!.id)
    groupSelection(store)
    const group = selected(store.getState())!
    expect(group.block.kind).toBe('group')
    expect(childrenOf(group.block.id)).toEqual([inReason[1]!.id])
    expect(childrenOf(reason.id)[1]).toBe(group.block.id)
    select(store, reasons.id)
    groupSelection(store)
    expect(store.getState().selection).toBe(reasons.id)
  })

  test('out of its group and into the one before', () => {
    select(store, inReason[2]!.id)
    moveOut(store)
    expect(childrenOf(reasons.id)).toContain(inReason[2]!.id)
    moveIn(store)
    expect(childrenOf(reason.id)).toEqual(inReason.map((one) => one.id))
  })

  test('paste takes blocks in with new ids, one behind the other', () => {
    select(store, inReason[0]!.id)
    const pasted = [newBlock('divider', makeId), newBlock('divider', makeId)]
    paste(store, pasted)
    expect(childrenOf(reason.id)).toHaveLength(inReason.length + 2)
    expect(childrenOf(reason.id)).not.toContain(pasted[0]!.id)
  })
})

describe('keys', () => {
  const press = (key: string, more: object = {}) => ({
    key,
    ctrlKey: false,
    metaKey: false,
    shiftKey: false,
    altKey: false,
    ...more,
  })
  const named = (event: ReturnType<typeof press>) => COMMANDS.find((one) => matches(one, event))?.name

  test.each([
    [press('g'), 'Column grid'],
    [press('g', { ctrlKey: true }), 'Put the selection in a group'],
    [press('z', { ctrlKey: true }), 'Undo'],
    [press('z', { metaKey: true }), 'Undo'],
    [press('Z', { ctrlKey: true, shiftKey: true }), 'Redo'],
    [press('['), 'Previous section'],
    [press('ArrowUp'), 'Select the block before'],
    [press('ArrowUp', { altKey: true }), 'Move the selection up'],
    [press('1'), 'View 1 alone on the stage'],
    [press('q'), undefined],
  ])('%o', (event, name) => {
    expect(named(event)).toBe(name)
  })

  test('no key stands for two commands', () => {
    const keys = COMMANDS.map((one) => one.key)
    expect(new Set(keys).size).toBe(keys.length)
  })

  test('every command runs, with and without a selection', () => {
    for (const start of [null, inReason[1]!.id, reasons.id]) {
      for (const command of [...COMMANDS, ...ADD_COMMANDS]) {
        store = createSessionStore('site', page.id, site, 0)
        select(store, start)
        if (command.possible?.(store) ?? true) command.run(store)
        expect(store.getState().session.site.pages).toHaveLength(site.pages.length)
      }
    }
  })

  test('next and previous go from section to section and stop at the ends', () => {
    goToSection(store, 1)
    expect(store.getState().selection).toBe(page.sections[0]!.id)
    goToSection(store, -1)
    expect(store.getState().selection).toBe(page.sections[0]!.id)
    select(store, inReason[0]!.id)
    goToSection(store, 1)
    expect(store.getState().selection).toBe(page.sections[page.sections.indexOf(reasons) + 1]!.id)
  })

  test('each section can be gone to by its name, and each block by its words', () => {
    const go = (name: RegExp) =>
      blockCommands(store)
        .find((one) => name.test(one.name))!
        .run(store)
    go(/^Go to section 5: What you see$/)
    expect(store.getState().selection).toBe(page.sections[4]!.id)
    go(/^Go to Heading “Why people come up the hill”, 3\.\d+ in Reasons$/)
    expect(selected(store.getState())).toMatchObject({ block: { kind: 'heading' }, ancestors: [{ id: reasons.id }] })
    const names = blockCommands(store).map((one) => one.name)
    expect(new Set(names).size).toBe(names.length)
  })
})
