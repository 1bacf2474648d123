'use client';

import { TextInput } from '@mantine/core';
import Form from 'next/form';
import { Link } from '@/interface/parts/link';
import { Button } from '@/interface/parts/button';
import type { StandsPage } from './stands-page';
import styles from './stands-screen.module.css';

const pageHref = (find: string, page: number) => {
  const asked = new URLSearchParams({ ...(find && { find }), ...(page > 1 && { page: String(page) }) }).toString();
  return asked ? `/?${asked}` : '/';
};

/** Finds an engine by its name; the address says what was looked for, so that back goes back to it. */
const FindEngine = ({ find, found }: { readonly find: string; readonly found: number }) => (
  <Form action="/" className={styles.find} role="search">
    <TextInput key={find} name="find" aria-label="Find an engine by its name" defaultValue={find} maxLength={80} />
    <Button type="submit">Find</Button>
    {find && (
      <>
        <span role="status">
          {found === 1 ? '1 engine' : `${found} engines`} with “{find}”
        </span>
        <Link href="/">All engines</Link>
      </>
    )}
  </Form>
);

const Pages = ({ find, page, pages, size }: Pick<StandsPage, 'find' | 'page' | 'pages' | 'size'>) => (
  <nav className={styles.pages} aria-label="Pages of engines">
    {page > 1 && <Link href={pageHref(find, page - 1)}>Previous {size}</Link>}
    <span>
      page {page} of {pages}
    </span>
    {page < pages && <Link href={pageHref(find, page + 1)}>Next {size}</Link>}
  </nav>
);

/** The engines on their stands; where there are more than a page holds, with a way to find one. */
export const StandList = ({ stands }: { readonly stands: StandsPage }) => (
  <>
    {stands.engines > stands.size && <FindEngine find={stands.find} found={stands.found} />}
    <ul>
      {stands.tags.map(({ id, name, href, state, waitsFor }) => (
        <li key={id}>
          <Link href={href} className={styles.stand}>
            <span className={styles.name}>{name}</span>
            <span className={styles.waits} data-state={state}>
              Waits for: {waitsFor}
            </span>
          </Link>
        </li>
      ))}
    </ul>
    {stands.pages > 1 && <Pages {...stands} />}
  </>
);
