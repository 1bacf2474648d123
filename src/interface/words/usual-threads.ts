/** Threads that period engines are held together with, offered where one is typed; every other is read too. */
export const USUAL_THREADS = [
  ...['1/4', '5/16', '3/8', '7/16', '1/2'].flatMap((size) => [
    `${size} BSF`,
    `${size} UNF`,
    `${size} BSW`,
    `${size} UNC`,
  ]),
  ...['6', '7', '8', '9', '10', '11', '12'].map((size) => `M${size}`),
  ...['1/4', '5/16', '3/8'].map((size) => `${size} CEI`),
  ...['0', '2', '4'].map((size) => `${size} BA`),
];
