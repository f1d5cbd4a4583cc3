/** Height of the window that `vh` is measured by where a page is shown whole, px: that of a common screen of the width. */
export const viewportHeightFor = (width: number): number => (width >= 1024 ? 800 : width >= 640 ? 1024 : 812)
