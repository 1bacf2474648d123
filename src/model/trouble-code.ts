/** What can go wrong with the file itself. Nothing is lost by any of them. */
export type TroubleCode =
  | 'disk-full'
  | 'locked'
  | 'newer-version'
  | 'corrupt'
  | 'not-writable'
  | 'changed-history'
  | 'foreign-file'
  | 'exchanged'
  | 'failed';
