// Addresses: the workrooms, and in each its pages and the table with a closure at one of its
// stations. Pages are loaded when they are visited.
import { createRouter } from 'sv-router';
import Away from './api/Away.svelte';

/** A page that cannot be fetched says so, and comes as soon as the server answers. */
const away = (): { default: typeof Away } => ({ default: Away });

export const { navigate, route, p } = createRouter({
  '/': () => import('./pages/workrooms/WorkroomsPage.svelte').catch(away),
  '/sign-in': () => import('./pages/account/SignInPage.svelte').catch(away),
  '/join': () => import('./pages/account/JoinPage.svelte').catch(away),
  '/pair': () => import('./pages/account/PairPage.svelte').catch(away),
  '/new-password': () => import('./pages/account/NewPasswordPage.svelte').catch(away),
  '/account': () => import('./pages/account/AccountPage.svelte').catch(away),
  '/shared': () => import('./pages/shared/SharedPage.svelte').catch(away),
  '/about': () => import('./pages/about/AboutPage.svelte').catch(away),
  '/w/:slug': () => import('./pages/workroom/WorkroomPage.svelte').catch(away),
  '/w/:slug/stash': () => import('./pages/stash/StashPage.svelte').catch(away),
  '/w/:slug/shelves/:shelf': () => import('./pages/shelf/ShelfPage.svelte').catch(away),
  '/w/:slug/swatches': () => import('./pages/swatches/SwatchesPage.svelte').catch(away),
  '/w/:slug/preferences': () => import('./pages/habits/HabitsPage.svelte').catch(away),
  '/w/:slug/glossary': () => import('./pages/glossary/GlossaryPage.svelte').catch(away),
  '/w/:slug/people': () => import('./pages/people/PeoplePage.svelte').catch(away),
  '/w/:slug/deleted': () => import('./pages/basket/BasketPage.svelte').catch(away),
  // By older addresses, that somebody may have kept.
  '/w/:slug/habits': () => import('./pages/habits/HabitsPage.svelte').catch(away),
  '/w/:slug/basket': () => import('./pages/basket/BasketPage.svelte').catch(away),
  '/w/:slug/garments/:id': () => import('./pages/garment/GarmentPage.svelte').catch(away),
  '/w/:slug/machines/:id': () => import('./pages/machine/MachinePage.svelte').catch(away),
  '/w/:slug/sessions/:id': () => import('./pages/session/SessionPage.svelte').catch(away),
  // Sessions by an older address, that somebody may have kept.
  '/w/:slug/sittings/:id': () => import('./pages/session/SessionPage.svelte').catch(away),
  '/w/:slug/sittings/:id/sew': () => import('./pages/sew/SewPage.svelte').catch(away),
  '/w/:slug/sessions/:id/sew': () => import('./pages/sew/SewPage.svelte').catch(away),
  '/w/:slug/closures/:id/log': () => import('./pages/log/LogPage.svelte').catch(away),
  '/w/:slug/closures/:id/rehearse': () => import('./pages/rehearse/RehearsePage.svelte').catch(away),
  '/w/:slug/closures/:id/rehearse/eyes': () => import('./pages/rehearse/EyesPage.svelte').catch(away),
  '/w/:slug/closures/:id/rehearse/:exercise': () => import('./pages/rehearse/HandsPage.svelte').catch(away),
  '/w/:slug/closures/:id/:station': () => import('./table/Table.svelte').catch(away),
  '*': () => import('./pages/workrooms/WorkroomsPage.svelte').catch(away),
});

/** Goes to an address inside the application, with what stands after its question mark and its hash. */
export function go(address: string): Promise<void | Error> {
  const { pathname, searchParams, hash } = new URL(address, location.origin);
  const search = Object.fromEntries(searchParams);
  return navigate(pathname as '/', {
    ...(hash ? { hash: hash.slice(1) } : {}),
    ...(searchParams.size ? { search } : {}),
  });
}
