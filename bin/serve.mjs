// The built application, at the address and with the data that the environment names.
import { serve } from '../build/server/index.js'

const { PORT = '4800', HOST = '127.0.0.1', YARROWFINCH_PROXY = '' } = process.env

/** Ends with one sentence. */
function stop(sentence) {
  console.error(sentence)
  process.exit(1)
}

let server
try {
  server = serve(Number(PORT), HOST, YARROWFINCH_PROXY)
} catch (error) {
  stop(`The server could not be set up with PORT “${PORT}” and YARROWFINCH_PROXY “${YARROWFINCH_PROXY}”: ${error.message}`)
}
server.on('error', ({ message }) => stop(`The server could not start at ${HOST}:${PORT}: ${message}`))
server.on('listening', () => console.log(`Listening at ${HOST}:${PORT}`))
// What is being answered is answered to its end.
for (const signal of ['SIGTERM', 'SIGINT']) process.once(signal, () => server.close())
