/** The copy of another trade than the demo's: a made-up boatyard, of 50 and more passages, with four plans. */
export const BOATYARD = `# Ferry Lane Boatyard

## Header

- [Boats](index.html#boats)
- [Fares](index.html#fares)
- [Find us](index.html#find-us)

## Hero

*Rowing boats by the hour, since 1911*

### The river is slower than you. Let it win.

Twelve wooden boats, one lock, and a tea hut that opens when the first boat comes back.

[Book a boat](index.html#fares)

## Why row

### Three good reasons to take the oars

#### Nobody can call you

There is no signal under the willows. We have checked, most afternoons.

#### You cannot sink these

Clinker-built, flat in the floor, and older than anybody who has tried.

#### Herons do not mind oars

They mind engines. You will see four before the second bend.

## Boats

### Which boat for whom

#### The skiff

Two rowers, one to steer, room for a basket and a dog of moderate views.

#### The punt

One stands, four lie down. Falling in is included.

#### The gig

Six oars and a good deal of shouting. For clubs, and for families who have made up.

## How it works

### From the gate to the water in ten minutes

#### Come to the hut

Sign the book. Children sign as well; they take it more seriously.

#### Take a jacket

They are orange and they fit everybody badly.

#### Row upstream first

Coming home is then the easy half, whatever the wind has decided.

## Fares

### What it costs

| Plan | Fare | For | Includes |
|---|---|---|---|
| An hour | £14 | one boat | jackets |
| A morning | £32 | one boat | jackets and a map |
| A day | £58 | one boat | jackets, a map, tea at the hut |
| A season | £190 | a household | any boat, any weekday |

Dogs row free.

## What people wrote

### From the book in the hut

> We meant to be an hour. It got dark.
> — A family of four, in June

> My husband has stopped correcting my steering.
> — M., second visit

## Questions

### Before you come

#### Do I need to know how to row?

No. By the second bend you will have an opinion on it.

#### What if it rains?

Then you get wet from two sides. We change the day without asking why.

#### May we swim?

From the third landing stage, never from the boats.

## Find us

### Ferry Lane, down to the end, and then the noise of water

Open from Easter to the last warm Sunday. Bus 7 stops at the top of the lane.

[Write to us](mailto:hut@ferrylane.example)

## Footer

Ferry Lane Boatyard, run by the same family and the same river.

- [Boats](index.html#boats)
- [Fares](index.html#fares)
- [Write to us](mailto:hut@ferrylane.example)
`
