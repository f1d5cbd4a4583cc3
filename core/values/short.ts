/** A figure as it is written in CSS: to a thousandth, without what says nothing. */
export const short = (value: number): string => String(Number(value.toFixed(3)))
