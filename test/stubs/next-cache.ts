/** How often the pages were asked to be drawn anew. */
export const drawn = { times: 0 };

export const revalidatePath = (): void => {
  drawn.times += 1;
};
