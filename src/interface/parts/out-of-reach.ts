export const OUT_OF_REACH = 'The program on this machine does not answer: press again once it does.';
