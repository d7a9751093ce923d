// What stands in a menu.
export type MenuItem = { key: string; name: string; here?: boolean; pick: () => void };
export type MenuGroup = { title?: string; items: MenuItem[] };
