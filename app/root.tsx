import type { ReactNode } from 'react'
import {
  type ErrorResponse,
  isRouteErrorResponse,
  Link,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useRouteError,
} from 'react-router'
import { Toaster } from 'sonner'
import './app.css'
import { useAwake } from './awake/awake'
import { FirstScripts, useNonce } from './nonce'
import { readsAhead } from './read-ahead'

export const middleware = [readsAhead]

export function Layout({ children }: { children: ReactNode }) {
  const nonce = useNonce()
  useAwake()
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <FirstScripts />
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <link rel="icon" href="/icon.svg" type="image/svg+xml" />
        <Meta />
        <Links />
      </head>
      <body>
        {children}
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  )
}

export default function App() {
  return (
    <>
      <Outlet />
      <Toaster
        position="bottom-right"
        offset={16}
        style={{ fontFamily: 'var(--font-sans)' }}
        toastOptions={{
          unstyled: true,
          classNames: {
            toast: 'flex w-[360px] items-center gap-3 rounded-2 bg-ink p-3 text-ui text-on-ink shadow-float',
            error: 'border-l-4 border-rust',
            actionButton: 'ml-auto shrink-0 rounded-2 bg-yarrow px-2 py-1 font-semibold text-ink',
          },
        }}
      />
    </>
  )
}

/** What is said of an answer that is none: our own sentence, where there is one; the router's speaks of routes. */
function sentenceOf({ status, data, statusText }: ErrorResponse): string {
  const problem = typeof data === 'object' && data !== null && 'problem' in data ? String(data.problem) : data
  if (typeof problem === 'string' && problem !== '' && !/^Error:|route/i.test(problem)) return problem
  return status === 404 ? 'There is nothing at this address.' : statusText || 'This could not be answered.'
}

/** What is shown when a page cannot be: a sentence, and the way back. */
export function ErrorBoundary() {
  const error = useRouteError()
  const sentence = isRouteErrorResponse(error)
    ? sentenceOf(error)
    : 'Something in the application failed. Your edits up to the last “Saved” are kept.'
  return (
    <main className="mx-auto max-w-xl p-12">
      <h1 className="text-title font-semibold">This cannot be shown</h1>
      <p className="mt-2 text-ink-2">{sentence}</p>
      <p className="mt-6">
        <Link className="inline-flex min-h-6 items-center underline" to="/">
          Back to all sites
        </Link>
      </p>
    </main>
  )
}
