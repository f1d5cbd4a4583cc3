/** The mark of the application: a head of yarrow. */
export function Floret() {
  return (
    <svg aria-hidden width="24" height="24" viewBox="0 0 24 24" className="shrink-0">
      <g fill="none" stroke="#7d8f83" strokeWidth="1.4">
        <path d="M12 22V11M12 15 7.5 10M12 15l4.500-5" />
      </g>
      <g fill="#EDB700">
        {[
          [12, 6, 2.6],
          [6.5, 8.5, 2.4],
          [17.5, 8.5, 2.4],
          [9, 4.2, 1.8],
          [15, 4.2, 1.8],
        ].map(([cx, cy, r]) => (
          <circle key={`${cx}`} cx={cx} cy={cy} r={r} />
        ))}
      </g>
    </svg>
  )
}
