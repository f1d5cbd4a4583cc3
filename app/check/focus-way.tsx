type Box = { left: number; top: number; width: number; height: number }

/** The stops of the focus over a page, numbered, with a line from each to the next. */
export function FocusWay({ order, scale }: { order: readonly { box: Box }[]; scale: number }) {
  const points = order.map(({ box }) => [(box.left + box.width / 2) * scale, (box.top + box.height / 2) * scale] as const)
  return (
    <svg aria-hidden data-focus-way={order.length} className="pointer-events-none absolute inset-0 h-full w-full">
      <polyline points={points.map((one) => one.join()).join(' ')} fill="none" stroke="#EDB200" strokeWidth="2" />
      {order.map(({ box }, n) => (
        <rect
          key={n}
          x={box.left * scale - 2}
          y={box.top * scale - 2}
          width={box.width * scale + 4}
          height={box.height * scale + 4}
          fill="none"
          stroke="#EDB200"
          strokeWidth="2"
        />
      ))}
      {order.map(({ box }, n) => (
        <g key={n} transform={`translate(${box.left * scale - 2} ${box.top * scale - 2})`}>
          <rect x="-9" y="-9" width="20" height="18" fill="#16211B" />
          <text x="1" y="4" textAnchor="middle" className="figure" fontSize="11" fill="#F3F6F0">
            {n + 1}
          </text>
        </g>
      ))}
    </svg>
  )
}
