import field from './field.module.css';

/** The sign of a list to choose from. The library's own is a kilobyte, and a page of settings has two dozen of them. */
export const Chevron = () => (
  <svg className={field.chevron} viewBox="0 0 15 15" aria-hidden>
    <path d="M5.25 5.75 7.5 3.5l2.25 2.25m-4.5 3.5 2.25 2.25 2.25-2.25" />
  </svg>
);
