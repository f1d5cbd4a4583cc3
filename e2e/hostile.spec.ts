import { test, expect } from '@playwright/test'
import { runs } from '#core/values/runs.fixture'
import { torture } from '../torture/run'

test('hostile inputs, killed servers, lost power, a full disk, a locked database and a clock that jumps leave nothing broken, lost or doubled', async () => {
  const { inputs, kills, cuts, locked, clock, full } = await torture(11, runs(2, 12))
  expect(inputs.faults).toEqual([])
  expect(inputs.tried).toBeGreaterThan(10)
  expect(kills).toMatchObject({ lost: [], doubled: [], faults: [] })
  expect(kills.acknowledged).toBeGreaterThan(0)
  // Without a C compiler no disk can be made that forgets.
  expect(cuts ?? { lost: [], doubled: [], faults: [] }).toMatchObject({ lost: [], doubled: [], faults: [] })
  expect(locked).toEqual([])
  expect(clock).toEqual([])
  // Without a file system of its own a full disk is not tried.
  expect(full ?? []).toEqual([])
})
