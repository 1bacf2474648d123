/** What a worker says: how far it is, what came of it, or why nothing does. */
export type WorkerMessage<Result> =
  | { readonly kind: 'progress'; readonly done: number; readonly of: number }
  | { readonly kind: 'result'; readonly result: Result }
  | { readonly kind: 'refused'; readonly message: string };
