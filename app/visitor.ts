import { createContext } from 'react-router'

/** The address that a request comes from: of the machine that asked, or what a proxy that is named says of its own visitors. */
export const visitor = createContext('')
