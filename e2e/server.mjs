// The built application, for tests: the process that started it may give it another
// folder of data while it runs, so that tests share one start and none of their data; or put its clock forward or back.
let ahead = 0
const Clock = globalThis.Date
globalThis.Date = class Date extends Clock {
  static now = () => Clock.now() + ahead
  constructor(...given) {
    if (given.length > 0) super(...given)
    else super(Clock.now() + ahead)
  }
}
process.on('message', ({ data, clock }) => {
  if (clock !== undefined) {
    ahead = clock
    return process.send('given')
  }
  globalThis.yarrowfinchStore?.close()
  delete globalThis.yarrowfinchStore
  process.env.YARROWFINCH_DATA = data
  process.send('given')
})
// It ends with the process that started it.
process.on('disconnect', () => process.exit())
await import('../bin/serve.mjs')
