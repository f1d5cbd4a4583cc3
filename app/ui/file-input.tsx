import type { Ref } from 'react'
import { acceptOf, type FileKind } from '#core/formats/accepted'

type FileInputProps = {
  /** What it is for, for those who hear it. */
  label: string
  /** Kinds of file that can be chosen. */
  takes: readonly FileKind[]
  multiple?: boolean
  onTake: (files: File[]) => void
  ref: Ref<HTMLInputElement>
}

/** The field that chooses files, out of sight: a button beside it opens it. The same file can be chosen again. */
export const FileInput = ({ label, takes, multiple = false, onTake, ref }: FileInputProps) => (
  <input
    ref={ref}
    type="file"
    multiple={multiple}
    aria-label={label}
    accept={acceptOf(takes)}
    className="sr-only"
    tabIndex={-1}
    onChange={(event) => {
      onTake([...(event.target.files ?? [])])
      event.target.value = ''
    }}
  />
)
