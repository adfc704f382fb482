import { createRouter } from 'sv-router';
import PeopleAndDeals from '../records/RecordList.svelte';
import Today from '../today/Today.svelte';

/** Every address of the interface. The heavier views are loaded when they are opened. */
export const { navigate, route } = createRouter({
  '/': Today,
  '/today': Today,
  '/people': PeopleAndDeals,
  '/people/:kind': PeopleAndDeals,
  '/people/:kind/import': () => import('../interchange/Import.svelte'),
  '/people/:kind/:id': () => import('../records/RecordPage.svelte'),
  '/deals': PeopleAndDeals,
  '/deals/import': () => import('../interchange/Import.svelte'),
  '/deals/:id': () => import('../records/RecordPage.svelte'),
  '/templates': () => import('../library/TemplateList.svelte'),
  '/templates/new': () => import('../library/NewTemplate.svelte'),
  '/templates/import': () => import('../library/ImportLibrary.svelte'),
  '/templates/from-message': () => import('../frommessage/FromMessage.svelte'),
  '/templates/:id': () => import('../desk/Desk.svelte'),
  '/templates/:id/versions': () => import('../desk/Versions.svelte'),
  '/mailings': () => import('../mailings/Mailings.svelte'),
  '/mailings/:id': () => import('../mailings/MailingOf.svelte'),
  '/materials': () => import('../materials/Materials.svelte'),
  '/materials/:part': () => import('../materials/Materials.svelte'),
  '/materials/:part/:id': () => import('../desk/Desk.svelte'),
  '/outbox': () => import('../outbox/Outbox.svelte'),
  '/demo-inboxes': () => import('../demoinboxes/DemoInboxes.svelte'),
  '/demo-inboxes/:address': () => import('../demoinboxes/DemoInboxes.svelte'),
  '/team': () => import('../team/Team.svelte'),
  '/company': () => import('../company/Company.svelte'),
  '/company/:part': () => import('../company/Company.svelte'),
  '/profile': () => import('../team/Profile.svelte'),
  '*': () => import('./NothingHere.svelte'),
});

/** Goes to an address made from data. */
export function go(address: string, options: { replace?: boolean; search?: string } = {}): void {
  (navigate as (to: string, options: object) => Promise<unknown>)(address, options).catch((failure) => {
    // One that another navigation overtakes waits for itself, and says so; the other one shows its page.
    if (!(failure instanceof TypeError && failure.message.startsWith('Chaining cycle'))) throw failure;
  });
}

/** Where a record's page is. */
export function recordAddress(kind: string, id: string): string {
  return kind === 'deal' ? `/deals/${id}` : `/people/${kind}s/${id}`;
}
