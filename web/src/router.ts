// Addresses: the workroom, and a closure at one of its stations.
import { createRouter } from 'sv-router';
import Table from './shell/Table.svelte';
import GarmentPage from './garment/GarmentPage.svelte';
import HabitsPage from './habits/HabitsPage.svelte';
import MachinePage from './machine/MachinePage.svelte';
import StashPage from './stash/StashPage.svelte';
import WorkroomPage from './workroom/WorkroomPage.svelte';

export const { navigate, route } = createRouter({
  '/': WorkroomPage,
  '/stash': StashPage,
  '/habits': HabitsPage,
  '/garments/:id': GarmentPage,
  '/machines/:id': MachinePage,
  '/closures/:id/:station': Table,
  '*': WorkroomPage,
});
