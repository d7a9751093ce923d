/** What an address says is searched for on its page. */
export const searchedFor = (): string => new URLSearchParams(location.search).get('search') ?? '';
