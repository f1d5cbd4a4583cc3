// The built application, as `react-router-serve` runs it, for tests: the process that started it may give it another
// folder of data while it runs, so that tests share one start and none of their data.
process.on('message', ({ data }) => {
  globalThis.yarrowfinchStore?.close()
  delete globalThis.yarrowfinchStore
  process.env.YARROWFINCH_DATA = data
  process.send('given')
})
// It ends with the process that started it.
process.on('disconnect', () => process.exit())
await import('../node_modules/@react-router/serve/bin.js')
