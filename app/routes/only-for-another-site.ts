type Change = { currentParams: { siteId?: string }; nextParams: { siteId?: string } }

/** Edits are kept by the screens themselves; another page of the same site must not fetch it again. */
export const onlyForAnotherSite = ({ currentParams, nextParams }: Change) => currentParams.siteId !== nextParams.siteId
