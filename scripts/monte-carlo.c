/* The same loop as src/core/statistics/monte-carlo.ts, for `npm run bench`: same generator, same quantile, same selection. */
#include <math.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <time.h>

static uint32_t s[4];

static void seed(uint32_t word) {
  for (int i = 0; i < 4; i++) {
    word += 0x9e3779b9u;
    uint32_t m = word;
    m = (m ^ (m >> 16)) * 0x21f0aaadu;
    m = (m ^ (m >> 15)) * 0x735a2d97u;
    s[i] = m ^ (m >> 15);
  }
}

static inline uint32_t next(void) {
  uint32_t sum = s[0] + s[3], result = ((sum << 7) | (sum >> 25)) + s[0], t = s[1] << 9;
  s[2] ^= s[0];
  s[3] ^= s[1];
  s[1] ^= s[2];
  s[0] ^= s[3];
  s[2] ^= t;
  s[3] = (s[3] << 11) | (s[3] >> 21);
  return result;
}

static inline double uniform(void) { return (next() + 0.5) / 4294967296.0; }

static double tail(double r) {
  if (r <= 5) {
    double x = r - 1.6;
    return (((((((7.7454501427834140764e-4 * x + 2.27238449892691845833e-2) * x + 2.4178072517745061177e-1) * x + 1.27045825245236838258) * x + 3.64784832476320460504) * x + 5.7694972214606914055) * x + 4.6303378461565452959) * x + 1.42343711074968357734) /
           (((((((1.05075007164441684324e-9 * x + 5.475938084995344946e-4) * x + 1.51986665636164571966e-2) * x + 1.4810397642748007459e-1) * x + 6.8976733498510000455e-1) * x + 1.6763848301838038494) * x + 2.05319162663775882187) * x + 1);
  }
  double x = r - 5;
  return (((((((2.01033439929228813265e-7 * x + 2.71155556874348757815e-5) * x + 1.2426609473880784386e-3) * x + 2.6532189526576123093e-2) * x + 2.9656057182850489123e-1) * x + 1.7848265399172913358) * x + 5.4637849111641143699) * x + 6.6579046435011037772) /
         (((((((2.04426310338993978564e-15 * x + 1.4215117583164458887e-7) * x + 1.8463183175100546818e-5) * x + 7.868691311456132591e-4) * x + 1.48753612908506148525e-2) * x + 1.3692988092273580531e-1) * x + 5.9983220655588793769e-1) * x + 1);
}

static double quantile(double p) {
  double q = p - 0.5;
  if (fabs(q) <= 0.425) {
    double r = 0.180625 - q * q;
    return q * (((((((2509.0809287301226727 * r + 33430.575583588128105) * r + 67265.770927008700853) * r + 45921.953931549871457) * r + 13731.693765509461125) * r + 1971.5909503065514427) * r + 133.14166789178437745) * r + 3.387132872796366608) /
           (((((((5226.495278852545925 * r + 28729.085735721942674) * r + 39307.89580009271061) * r + 21213.794301586595867) * r + 5394.1960214247511077) * r + 687.1870074920579083) * r + 42.313330701600911252) * r + 1);
  }
  double z = tail(sqrt(-log(q < 0 ? p : 1 - p)));
  return q < 0 ? -z : z;
}

static void choose(double *v, long n, long k, long left) {
  long right = n - 1;
  while (right > left) {
    double pivot = v[k];
    long i = left, j = right;
    do {
      while (v[i] < pivot) i++;
      while (v[j] > pivot) j--;
      if (i <= j) {
        double held = v[i];
        v[i++] = v[j];
        v[j--] = held;
      }
    } while (i <= j);
    if (j < k) left = i;
    if (k < i) right = j;
  }
}

/* argv: samples, seed, P/2pi, thread arm, head arm, thread mu low, middle, high, head mu low, middle, high, torque, accuracy %, graduation, rounds */
int main(int argc, char **argv) {
  if (argc < 16) return 2;
  long n = atol(argv[1]);
  double p = atof(argv[3]), ct = atof(argv[4]), ch = atof(argv[5]), low = atof(argv[6]), middle = atof(argv[7]), high = atof(argv[8]);
  double hlow = atof(argv[9]), hmiddle = atof(argv[10]), hhigh = atof(argv[11]);
  double torque = atof(argv[12]), deviation = atof(argv[13]) / 200, graduation = atof(argv[14]);
  double up = log(high / middle) / 1.6449, down = log(middle / low) / 1.6449;
  double hup = log(hhigh / hmiddle) / 1.6449, hdown = log(hmiddle / hlow) / 1.6449, best = 1e9, p5 = 0, p50 = 0, p95 = 0;
  double *force = malloc(n * sizeof(double));
  for (int round = 0; round < atoi(argv[15]); round++) {
    struct timespec a, b;
    clock_gettime(CLOCK_MONOTONIC, &a);
    seed((uint32_t)atol(argv[2]));
    for (long i = 0; i < n; i++) {
      double z = quantile(uniform());
      double mt = middle * exp(z * (z >= 0 ? up : down)), mh = hmiddle * exp(z * (z >= 0 ? hup : hdown));
      double net = torque * (1 + deviation * quantile(uniform())) + graduation * (uniform() - 0.5);
      force[i] = net > 0 ? net * 1000 / (p + mt * ct + mh * ch) : 0;
    }
    long k5 = (long)ceil(0.05 * n) - 1, k50 = (long)ceil(0.5 * n) - 1, k95 = (long)ceil(0.95 * n) - 1;
    choose(force, n, k5, 0);
    p5 = force[k5];
    choose(force, n, k50, k5);
    p50 = force[k50];
    choose(force, n, k95, k50);
    p95 = force[k95];
    clock_gettime(CLOCK_MONOTONIC, &b);
    double ms = (b.tv_sec - a.tv_sec) * 1e3 + (b.tv_nsec - a.tv_nsec) / 1e6;
    if (ms < best) best = ms;
  }
  printf("{\"ms\":%.3f,\"p5_N\":%.6f,\"p50_N\":%.6f,\"p95_N\":%.6f}\n", best, p5, p50, p95);
  return 0;
}
