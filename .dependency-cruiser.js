/**
 * Which folders of the interface may use which: lib (no React) <- ui (parts without data) <- api <- features <- app.
 * Run by `npm run check`.
 */
const below = {
  lib: ['ui', 'api', 'features', 'app'],
  ui: ['api', 'features', 'app'],
  api: ['features', 'app'],
  features: ['app'],
}

/** What one feature takes of another. */
const SHARED = {
  'given-site': ['desk'],
  student: ['reply'],
  desk: ['stock'],
}

const ROOT = '^resources/js/'
const features = Object.entries({...SHARED, '[^/]+': []})

export default {
  forbidden: [
    {name: 'no-circles', severity: 'error', from: {path: ROOT}, to: {circular: true}},
    {
      name: 'no-react-in-lib',
      severity: 'error',
      from: {path: `${ROOT}lib/`, pathNot: '[.]test[.]'},
      to: {path: 'node_modules/(react|@mui)/'},
    },
    ...Object.entries(below).map(([folder, above]) => ({
      name: `${folder}-stands-below`,
      severity: 'error',
      from: {path: `${ROOT}${folder}/`},
      to: {path: above.map(name => `${ROOT}${name}/`)},
    })),
    ...features.map(([feature, others]) => ({
      name: `${feature === '[^/]+' ? 'others' : feature}-keep-to-themselves`,
      severity: 'error',
      from: {
        path: `${ROOT}features/(${feature})/`,
        pathNot: feature === '[^/]+' ? Object.keys(SHARED).map(name => `${ROOT}features/${name}/`) : [],
      },
      to: {
        path: `${ROOT}features/`,
        pathNot: [`${ROOT}features/($1|frame)/`, ...others.map(name => `${ROOT}features/${name}/`)],
      },
    })),
  ],
  options: {tsConfig: {fileName: 'tsconfig.json'}, tsPreCompilationDeps: true, doNotFollow: {path: 'node_modules'}},
}
