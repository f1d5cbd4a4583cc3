import { index, route, type RouteConfig } from '@react-router/dev/routes'

export default [
  index('routes/sites.tsx'),
  route('sites/:siteId', 'routes/site.tsx'),
  route('sites/:siteId/pages/:pageId/compose', 'routes/compose.tsx'),
  route('sites/:siteId/pages/:pageId/play', 'routes/play.tsx'),
  route('sites/:siteId/pages/:pageId/deliver', 'routes/deliver.tsx'),
  route('sites/:siteId/pages/:pageId/mockup', 'routes/mockup.ts'),
  route('sites/:siteId/edits', 'routes/edits.ts'),
  route('sites/:siteId/pictures', 'routes/upload.ts'),
  route('sites/:siteId/file', 'routes/site-file.ts'),
  route('sites/:siteId/export', 'routes/export.ts'),
  route('visit/:siteId/*', 'routes/visit.ts'),
  route('pictures/:hash', 'routes/picture.ts'),
  route('fonts.css', 'routes/fonts-css.ts'),
  route('fonts/:file', 'routes/font.ts'),
  route('icons', 'routes/icons.ts'),
] satisfies RouteConfig
