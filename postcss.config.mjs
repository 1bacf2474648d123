const config = {
  plugins: {
    'postcss-preset-mantine': {},
    'postcss-simple-vars': { variables: { 'breakpoint-narrow': '60em' } },
  },
};

export default config;
