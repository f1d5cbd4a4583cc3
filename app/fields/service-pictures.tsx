import type { ServicePicture } from './picture-service'

type ServicePicturesProps = {
  found: readonly ServicePicture[]
  /** How many stand beside each other, and how the list scrolls. */
  className: string
  onTake: (one: ServicePicture) => void
}

/** Pictures of the picture service, each taken with a press. */
export const ServicePictures = ({ found, className, onTake }: ServicePicturesProps) => (
  <ul aria-label="Picture service" className={`grid ${className}`}>
    {found.map((one) => (
      <li key={one.name}>
        <button type="button" className="block w-full text-left" title={one.words.join(', ')} onClick={() => onTake(one)}>
          <img
            src={`/library/${one.name}`}
            alt=""
            loading="lazy"
            className="aspect-[3/2] w-full border border-line object-cover hover:border-ink"
          />
          <span className="block truncate text-label text-ink-2">{one.title}</span>
        </button>
      </li>
    ))}
  </ul>
)
