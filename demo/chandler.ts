import { EMPTY_PAGE_BRIEF, EMPTY_SITE_BRIEF } from '#core/site/brief'
import { DEFAULT_BREAKPOINTS, DEFAULT_GUIDE, FIRST_DIRECTION } from '#core/site/defaults'
import { FILE_FORMAT, FILE_VERSION, type Site } from '#core/site/schema'
import { role } from '#core/values/colour'
import { token } from '#core/values/length'
import { beginSite, button, eyebrow, group, heading, link, list, painting, picture, section, text } from './compose'

const SHOP = { href: 'mailto:counter@tallowandtwine.example' }

/** The ship chandler's shop: one short page. */
export function chandler(): Site {
  beginSite()
  const page = 'shop'
  return {
    format: FILE_FORMAT,
    version: FILE_VERSION,
    name: 'Tallow & Twine',
    language: 'en',
    breakpoints: DEFAULT_BREAKPOINTS,
    views: [1280, 768, 375],
    launch: {
      address: 'https://tallowandtwine.example',
      owner: 'Tallow & Twine',
      icon: { letter: 'T', ground: 'primary', ink: 'on-primary' },
      share: 'coils-of-rope',
    },
    guide: {
      ...DEFAULT_GUIDE,
      colours: [
        { role: 'ground', hex: '#FBF7EE' },
        { role: 'panel', hex: '#F0E8D6' },
        { role: 'ink', hex: '#1E2B2C' },
        { role: 'ink-soft', hex: '#4D5B5A' },
        { role: 'line', hex: '#D9CDB2' },
        { role: 'primary', hex: '#1F4A4D' },
        { role: 'on-primary', hex: '#FBF7EE' },
        { role: 'accent', hex: '#C8772E' },
        { role: 'on-accent', hex: '#1E1408' },
        { role: 'link', hex: '#1F4A4D' },
      ],
      faces: [
        { name: 'heading', family: 'bitter' },
        { name: 'text', family: 'work-sans' },
      ],
    },
    directions: [{ ...FIRST_DIRECTION, name: 'Brass and rope' }],
    fonts: [],
    pictures: ['coils-of-rope', 'brass-lamp'].map(painting),
    brief: EMPTY_SITE_BRIEF,
    shared: [],
    unplaced: [],
    board: [],
    pages: [
      {
        id: page,
        name: 'The shop',
        address: '',
        title: { en: 'Tallow & Twine, ship chandlers' },
        brief: EMPTY_PAGE_BRIEF,
        description: {
          en: 'Rope by the metre, lamps by the hour, advice without being asked. A ship chandler’s shop on the old quay.',
        },
        sections: [
          section(
            'opening',
            {
              paddingTop: token('space-9'),
              paddingBottom: token('space-9'),
              rowGap: token('space-6'),
              align: 'center',
            },
            [
              group({ name: 'Words', span: 6, rowGap: token('space-4') }, [
                link('Tallow & Twine', { page }, { underline: false, weight: 640, ink: role('primary') }),
                heading(1, 'Everything a boat forgets to bring'),
                text(
                  'Rope by the metre, lamps by the hour, and advice whether you ask or not. On the old quay since the tide last came this far.',
                  { ink: role('ink-soft') },
                  'lead',
                ),
                button('Ask at the counter', 'primary', SHOP, { spaceBefore: token('space-3') }),
              ]),
              picture('brass-lamp', 'A brass lamp, lit, on a dark shelf', {
                span: 5,
                start: 8,
                aspect: { width: 3, height: 4 },
                middle: { span: 8, aspect: { width: 16, height: 9 } },
              }),
            ],
          ),
          section(
            'work',
            {
              fill: role('primary'),
              ink: role('on-primary'),
              paddingTop: token('space-9'),
              paddingBottom: token('space-9'),
              rowGap: token('space-5'),
              align: 'center',
            },
            [
              picture('coils-of-rope', 'Coils of rope of several colours, hung on a wall', {
                span: 7,
                aspect: { width: 3, height: 2 },
                middle: { span: 4 },
              }),
              group({ name: 'Words', span: 4, start: 9, rowGap: token('space-4'), middle: { span: 4, start: 5 } }, [
                eyebrow('On the wall this week'),
                heading(2, 'Forty ropes, none of them the wrong one'),
                list(false, {}, ['Three-strand hemp, tarred', 'Cotton sash cord, 6 to 12 mm', 'Sail twine, waxed twice']),
              ]),
            ],
          ),
          section('footer', { paddingTop: token('space-6'), paddingBottom: token('space-6') }, [
            text('Tallow & Twine, the old quay. Open when the shutters are.', { ink: role('ink-soft') }, 'small'),
          ]),
        ],
      },
    ],
  }
}
