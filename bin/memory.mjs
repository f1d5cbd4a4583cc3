/**
 * How a server's memory is handed out by the C library of Linux (glibc, `mallopt`): threads that come and go leave arenas
 * behind that are never given back, so there are two, and what is larger than 128 kB is given back as soon as it is free.
 * Other systems do not read this. It has to be there when the process begins.
 */
export const MEMORY = {
  MALLOC_ARENA_MAX: '2',
  MALLOC_MMAP_THRESHOLD_: '131072',
  MALLOC_TRIM_THRESHOLD_: '131072',
}
