/** The copy deck of a made-up orchard that lets trees, as its owner would send it: a title of its own, numbers, two calls on a line. */
export const ORCHARD = `# Medlar Hill Orchard

## Header

- [Medlar Hill Orchard](index.html)
- [How it works](#how-it-works)
- [Trees](#trees)
- [Questions](#questions)

## Opening

# An apple tree of your own, without a garden

Choose a tree in March, and pick what hangs on it in October. We prune, water and chase the jackdaws away.

[Choose a tree](thank-you.html) [Walk the orchard](#how-it-works)

## How it works

### From blossom to basket

1. Choose a tree from the list, or let us choose one.
2. Come to the blossom walk in May.
3. Pick on the second or third weekend of October.

## Trees

### What a tree costs

#### Young tree

£38

About twenty kilos of apples in a good year.

[Take a young tree](thank-you.html)

#### Old tree

£64 a year

Eighty kilos, and a ladder that you may borrow.

[Take an old tree](thank-you.html)

#### Half a tree

£35

Shared with people whom you do not know yet.

[Share a tree](thank-you.html)

## Questions

### Before you ask

#### What if there is frost?

You get a share of the trees that were spared.

#### May I climb?

With our ladder, yes.

#### Which kinds are there?

Twelve, from codlins to russets.
`
