/** One row of the table in the README: what is measured against what, by which file, and the ratio that is wanted at most. */
export type Row = { bench: string; what: string; against: string; wanted: number | null }

/** All rows, in the order of the table. A benchmark prints its rows by these names alone. */
export const ROWS = {
  'full-render': {
    bench: 'render',
    what: 'full render of a 200-block page to HTML and CSS, nothing remembered',
    against: '`react-dom/server` printing the same elements, HTML only',
    wanted: 12,
  },
  'html-text': {
    bench: 'render',
    what: 'printing the ready tree of that page as HTML',
    against: '`react-dom/server`',
    wanted: 1.5,
  },
  'one-edit': { bench: 'render', what: 'one edit on an 800-block page', against: 'full render of that page', wanted: 0.02 },
  'edit-by-size': { bench: 'render', what: 'the same edit at 800 blocks', against: 'at 50 blocks', wanted: 1.5 },
  'large-edit': { bench: 'large', what: 'one edit, on a site of 3,500 blocks', against: 'on the demo site', wanted: 1.3 },
  'large-save': {
    bench: 'large',
    what: 'saving one edit over HTTP, on a site of 3,500 blocks',
    against: 'on the demo site',
    wanted: 1.3,
  },
  'large-open': { bench: 'large', what: 'opening Compose, on a site of 3,500 blocks', against: 'on the demo site', wanted: 1.3 },
  'large-key': {
    bench: 'large',
    what: 'key press to painted in three views, on a site of 3,500 blocks',
    against: 'on the demo site',
    wanted: 1.3,
  },
  'key-press': {
    bench: 'keypress',
    what: 'key press to painted in three views, median',
    against: 'the same style set by hand in the three iframes',
    wanted: 2,
  },
  'drag-edge': {
    bench: 'composing',
    what: 'pointer move to paint while an edge is dragged, 800 blocks in four views, p95',
    against: 'the same box moved by hand in the four iframes',
    wanted: 2,
  },
  'many-blocks': {
    bench: 'composing',
    what: 'one value of 175 blocks changed and painted in four views, median',
    against: 'the same value of one block',
    wanted: 3,
  },
  'guide-colour': {
    bench: 'style',
    what: 'one colour of the style guide dragged to painted in three views, median',
    against: 'the same custom property set by hand',
    wanted: 1.2,
  },
  'deck-key': {
    bench: 'deck',
    what: 'deck key press to the words painted in three live pages, median',
    against: 'the same letter set by hand in the three iframes',
    wanted: 2,
  },
  'chooser-frames': {
    bench: 'deck',
    what: 'frames of the chooser late by a frame or more, while 49 live previews scroll by',
    against: 'all frames',
    wanted: 0.05,
  },
  'chooser-frames-busy': {
    bench: 'deck',
    what: 'the same, while another process takes one of the two cores',
    against: 'all frames',
    wanted: 0.05,
  },
  playhead: {
    bench: 'motion',
    what: 'playhead dragged, 40 animated blocks, three views',
    against: 'the same transforms set by hand',
    wanted: 2,
  },
  'played-frames': {
    bench: 'scrolling',
    what: 'late frames of the played demo page, scrolled to its end and back',
    against: 'one in a hundred',
    wanted: 1,
  },
  sweep: {
    bench: 'sweep',
    what: 'sweep of a page of 140 blocks with every check',
    against: 'resizing the same page and reading its boxes only',
    wanted: 2,
  },
  'sweep-edit': { bench: 'sweep', what: 'sweep after an edit of one section', against: '1 s', wanted: 1 },
  'sweep-large': { bench: 'sweep', what: 'sweep of a page of 30 sections', against: '10 s', wanted: 1 },
  palette: {
    bench: 'palette',
    what: 'palette of 10 colours of a 12-megapixel picture',
    against: 'sharp decoding that picture',
    wanted: 2,
  },
  'words-over': {
    bench: 'pictures',
    what: 'words over a picture of 12 megapixels, that can be read',
    against: 'drawing and reading its pixels',
    wanted: 3,
  },
  'words-over-repairs': {
    bench: 'pictures',
    what: 'the same, with every repair looked for',
    against: 'drawing and reading its pixels',
    wanted: 3,
  },
  'sent-frames': {
    bench: 'pictures',
    what: 'frames while forty pictures are sent, p95',
    against: 'the same screen at rest',
    wanted: 2,
  },
  weight: {
    bench: 'weight',
    what: 'minified CSS of the demo page',
    against: 'a hand-written twin, `benches/twin`, whose boxes are equal',
    wanted: 1.1,
  },
  export: {
    bench: 'export',
    what: 'export of the demo site, its threads started for it',
    against: 'sharp making the same pictures',
    wanted: 1.2,
  },
  'export-again': { bench: 'export', what: 'the same export again', against: 'sharp making the same pictures', wanted: 0.1 },
  'export-wait': {
    bench: 'export',
    what: 'longest that another request waited during the first export',
    against: '100 ms',
    wanted: 1,
  },
  saving: {
    bench: 'saving',
    what: 'saving one edit over HTTP',
    against: 'the edit and the whole document written with better-sqlite3, one commit each',
    wanted: null,
  },
  'load-pages': {
    bench: 'load',
    what: 'a page, read by one of 100 readers beside 30 designers who edit, p95',
    against: '300 ms',
    wanted: 1,
  },
  'load-screens': { bench: 'load', what: 'a screen, opened by one of these designers, p95', against: '300 ms', wanted: 1 },
  'load-edits': { bench: 'load', what: 'an edit of one of these designers, saved, p95', against: '150 ms', wanted: 1 },
  'script-compose': {
    bench: 'screens',
    what: 'script that Compose first loads, compressed, beyond what all screens share',
    against: '120 kB',
    wanted: 1,
  },
  'script-copy': { bench: 'screens', what: 'script that Copy first loads, likewise', against: '120 kB', wanted: 1 },
} as const satisfies Record<string, Row>

export type RowName = keyof typeof ROWS
