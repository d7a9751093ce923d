// Addresses: the workroom, and a closure at one of its stations.
import { createRouter } from 'sv-router';
import Table from './shell/Table.svelte';
import WorkroomPage from './workroom/WorkroomPage.svelte';

export const { navigate, route } = createRouter({
  '/': WorkroomPage,
  '/closures/:id/:station': Table,
  '*': WorkroomPage,
});
