import { index, route, type RouteConfig } from '@react-router/dev/routes'

export default [
  index('routes/sites.tsx'),
  route('sites/:siteId', 'routes/site.tsx'),
  route('sites/:siteId/pages/:pageId/brief', 'routes/brief.tsx'),
  route('sites/:siteId/pages/:pageId/copy', 'routes/copy.tsx'),
  route('sites/:siteId/pages/:pageId/references', 'routes/references.tsx'),
  route('sites/:siteId/pages/:pageId/compose', 'routes/compose.tsx'),


  route('sites/:siteId/pages/:pageId/play', 'routes/play.tsx'),
  route('sites/:siteId/pages/:pageId/deliver', 'routes/deliver.tsx'),
  route('sites/:siteId/pages/:pageId/inbox', 'routes/inbox.tsx'),
  route('sites/:siteId/pages/:pageId/mockup', 'routes/mockup.ts'),
  route('sites/:siteId/edits', 'routes/edits.ts'),
  route('sites/:siteId/pictures', 'routes/upload.ts'),
  route('sites/:siteId/fonts', 'routes/upload-font.ts'),
  route('sites/:siteId/library', 'routes/library-take.ts'),
  route('sites/:siteId/copy-file', 'routes/copy-file.ts'),
  route('sites/:siteId/file', 'routes/site-file.ts'),
  route('sites/:siteId/export', 'routes/export.ts'),
  route('visit/:siteId/forms/:formId', 'routes/visit-form.ts'),
  route('visit/:siteId/*', 'routes/visit.ts'),
  route('pictures/:hash', 'routes/picture.ts'),
  route('fonts.css', 'routes/fonts-css.ts'),
  route('fonts/:file', 'routes/font.ts'),
  route('icons', 'routes/icons.ts'),
  route('library', 'routes/library.ts'),
  route('library/:name', 'routes/library-thumbnail.ts'),
] satisfies RouteConfig
