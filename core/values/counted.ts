/** How many there are of something: `1 link`, `3 links`, `2 entries`. */
export function counted(count: number, one: string): string {
  const many = /[^aeiou]y$/.test(one) ? `${one.slice(0, -1)}ies` : `${one}s`
  return `${count} ${count === 1 ? one : many}`
}
