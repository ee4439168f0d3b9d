# Pictures of the main views, from fresh demo data.
(cd tests/browser && npx playwright test --config screenshots.config.ts)
say "docs/screenshots is renewed."
