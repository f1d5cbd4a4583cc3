import { describe, expect, test } from 'vitest'
import { fromEditor, toEditor } from './words-editor'

describe('words in the editor', () => {
  test('carry their marks and come back as they were', () => {
    const words = [
      'Bring a ',
      { kind: 'strong' as const, children: ['coat', { kind: 'emphasis' as const, children: [' and'] }] },
      { kind: 'break' as const },
      { kind: 'link' as const, href: 'https://a.example', children: ['gloves'] },
    ]
    expect(toEditor(words).content).toEqual([
      { type: 'text', text: 'Bring a ', marks: [] },
      { type: 'text', text: 'coat', marks: [{ type: 'bold' }] },
      { type: 'text', text: ' and', marks: [{ type: 'bold' }, { type: 'italic' }] },
      { type: 'hardBreak', marks: [] },
      { type: 'text', text: 'gloves', marks: [{ type: 'link', attrs: { href: 'https://a.example' } }] },
    ])
    expect(fromEditor(toEditor(words))).toEqual(words)
  })

  test('none are none', () => {
    expect(toEditor([]).content).toEqual([])
    expect(fromEditor({ type: 'doc' })).toEqual([])
  })

  test('lose a link that may not be, and marks that are not known, but not their text', () => {
    const pasted = {
      type: 'doc',
      content: [
        { type: 'text', text: 'press', marks: [{ type: 'link', attrs: { href: 'javascript:alert(1)' } }] },
        { type: 'text', text: ' here', marks: [{ type: 'textStyle' }] },
      ],
    }
    expect(fromEditor(pasted)).toEqual(['press here'])
  })
})
