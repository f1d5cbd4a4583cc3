import { createRequestHandler } from '@react-router/express'
import compression from 'compression'
import express, { type NextFunction, type Request, type Response } from 'express'
import { createServer, type Server } from 'node:http'
import { resolve } from 'node:path'
import { RouterContextProvider } from 'react-router'
import * as build from 'virtual:react-router/server-build'
import { guard } from '#server/guard'
import { visitor } from './visitor'

const CLIENT = resolve('build', 'client')

/** What is said where even the page that says so could not be made. */
function failed(error: unknown, _request: Request, response: Response, next: NextFunction): void {
  console.error(error)
  if (response.headersSent) return next(error)
  response.status(500).json({ problem: 'Something in the application failed. Your edits up to the last “Saved” are kept.' })
}

/**
 * All that the server answers: the guard stands before files and pages alike.
 * @param proxies addresses or ranges of proxies that may say whom they ask for, parted by commas (X-Forwarded-For)
 * @throws TypeError for one that is no address
 */
function answers(proxies: string): express.Express {
  const app = express()
  app.disable('x-powered-by')
  const trusted = proxies.split(',').map((one) => one.trim())
  app.set(
    'trust proxy',
    trusted.filter((one) => one !== ''),
  )
  app.use(guard, compression())
  // The name of a built file has its digest in it, so it never changes.
  app.use('/assets', express.static(resolve(CLIENT, 'assets'), { immutable: true, maxAge: '1y' }))
  app.use(express.static(CLIENT))
  app.use(
    createRequestHandler({
      build,
      getLoadContext: ({ ip }) => new RouterContextProvider(new Map([[visitor, ip ?? '']])),
    }),
  )
  app.use(failed)
  return app
}

/**
 * Begins to answer.
 * @param host address to listen at
 * @param proxies as `YARROWFINCH_PROXY` names them
 */
export function serve(port: number, host: string, proxies: string): Server {
  // A request without a host is answered by the guard, with a sentence.
  return createServer({ requireHostHeader: false }, answers(proxies)).listen(port, host)
}
