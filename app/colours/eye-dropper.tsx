import { useEffect, useRef, useState } from 'react'

/** Pixels of the picture across the loupe. */
const ACROSS = 9
/** Size of the loupe, px. */
const SIZE = 108

type Spot = { left: number; top: number; hex: string }

const hexOf = ([r, g, b]: Uint8ClampedArray) =>
  `#${[r, g, b].map((one) => one!.toString(16).padStart(2, '0')).join('')}`.toUpperCase()

/** Picks a colour from a picture under the pointer, with a loupe that shows its single pixels. */
export function EyeDropper({ source, onPicked }: { source: string; onPicked: (hex: string) => void }) {
  const surface = useRef<HTMLDivElement>(null)
  const loupe = useRef<HTMLCanvasElement>(null)
  const pixels = useRef<CanvasRenderingContext2D | null>(null)
  const [spot, setSpot] = useState<Spot | null>(null)
  useEffect(() => {
    const image = new Image()
    image.onload = () => {
      const canvas = document.createElement('canvas')
      canvas.width = image.naturalWidth
      canvas.height = image.naturalHeight
      pixels.current = canvas.getContext('2d', { willReadFrequently: true })
      pixels.current?.drawImage(image, 0, 0)
    }
    image.src = source
  }, [source])

  const look = (event: { clientX: number; clientY: number }): string | undefined => {
    const context = pixels.current
    const bounds = surface.current!.getBoundingClientRect()
    if (!context) return undefined
    const { width, height } = context.canvas
    // The picture covers its card, so what is cut off at the sides is counted in.
    const scale = Math.max(bounds.width / width, bounds.height / height)
    const x = Math.min(
      width - 1,
      Math.max(0, Math.floor((event.clientX - bounds.left - (bounds.width - width * scale) / 2) / scale)),
    )
    const y = Math.min(
      height - 1,
      Math.max(0, Math.floor((event.clientY - bounds.top - (bounds.height - height * scale) / 2) / scale)),
    )
    const hex = hexOf(context.getImageData(x, y, 1, 1).data)
    setSpot({ left: event.clientX - bounds.left, top: event.clientY - bounds.top, hex })
    const glass = loupe.current?.getContext('2d')
    if (glass) {
      glass.imageSmoothingEnabled = false
      const half = (ACROSS - 1) / 2
      glass.drawImage(context.canvas, x - half, y - half, ACROSS, ACROSS, 0, 0, SIZE, SIZE)
      glass.strokeStyle = '#16211b'
      glass.strokeRect((SIZE / ACROSS) * half, (SIZE / ACROSS) * half, SIZE / ACROSS, SIZE / ACROSS)
    }
    return hex
  }
  return (
    <div
      ref={surface}
      className="absolute inset-0 cursor-crosshair"
      data-dropper
      onPointerMove={look}
      onPointerLeave={() => setSpot(null)}
      onClick={(event) => {
        const hex = look(event)
        if (hex) onPicked(hex)
      }}
    >
      <div
        aria-hidden
        className="pointer-events-none absolute z-10 border-2 border-ink bg-panel shadow-float"
        style={spot ? { left: spot.left + 16, top: spot.top + 16 } : { display: 'none' }}
      >
        <canvas ref={loupe} width={SIZE} height={SIZE} className="block" />
        <span className="figure flex items-center gap-1 px-1">
          <span className="h-3 w-3" style={{ background: spot?.hex }} />
          {spot?.hex}
        </span>
      </div>
    </div>
  )
}
