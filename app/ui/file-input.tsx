import type { Ref } from 'react'

type FileInputProps = {
  /** What it is for, for those who hear it. */
  label: string
  /** Media types and ends of names, as HTML lists them. */
  accept: string
  multiple?: boolean
  onTake: (files: File[]) => void
  ref: Ref<HTMLInputElement>
}

/** The field that chooses files, out of sight: a button beside it opens it. The same file can be chosen again. */
export const FileInput = ({ label, accept, multiple = false, onTake, ref }: FileInputProps) => (
  <input
    ref={ref}
    type="file"
    multiple={multiple}
    aria-label={label}
    accept={accept}
    className="sr-only"
    tabIndex={-1}
    onChange={(event) => {
      onTake([...(event.target.files ?? [])])
      event.target.value = ''
    }}
  />
)
