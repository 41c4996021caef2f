import pages from '../../server/src/main/resources/access/pages.json';

/** A page of the application, from the table that the server answers by. */
interface Page {
  /** With the parts that change in braces, as the server writes them. */
  path: string;
  /** What it is called in the header; nothing for a page that one comes to from another. */
  header?: string;
  /** What a member finds there, who sees nothing else of the group. */
  memberHeader?: string;
  /** Whether it holds nothing of a group. */
  groupless?: boolean;
}

export const PAGES: readonly Page[] = pages;

/** An address as the router writes it: {list} is :list. */
export const routed = (path: string) => path.replace(/\{(\w+)\}/g, ':$1');
