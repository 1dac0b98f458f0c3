/* The inner loop of core/src/bake/solve.ts in C, for `npm run bench`: the same look-ups, rows and elimination along z,
   over an axisymmetric grid, with insulated ends. Prints nanoseconds per cell update. */
#include <stdio.h>
#include <stdlib.h>
#include <time.h>

#define NX 14
#define NZ 16
#define SIZE 801

static double theta[NX * NZ], kir[SIZE], tem[SIZE], out[NX * NZ];
static double a[32], b[32], c[32], d[32], s[32], k[32];

static void sweep(int n, int stride, int lines, int lstride, double gap, double area, double scale) {
  for (int l = 0; l < lines; l++) {
    int start = l * lstride;
    for (int i = 0; i < n; i++) {
      double th = theta[start + i * stride], u = th + 40.0;
      int j = u < 0 ? 0 : u > SIZE - 2 ? SIZE - 2 : (int)u;
      double lo = kir[j], slope = kir[j + 1] - lo;
      s[i] = slope; k[i] = lo + slope * (u - j) - slope * th; b[i] = 1; d[i] = th;
    }
    for (int i = 0; i + 1 < n; i++) {
      double g = scale / gap, o = g * area, in = g * area, dk = k[i + 1] - k[i];
      b[i] += o * s[i]; c[i] = -o * s[i + 1]; d[i] += o * dk;
      b[i + 1] += in * s[i + 1]; a[i + 1] = -in * s[i]; d[i + 1] -= in * dk;
    }
    for (int i = 1; i < n; i++) { double m = a[i] / b[i - 1]; b[i] -= m * c[i - 1]; d[i] -= m * d[i - 1]; }
    double v = d[n - 1] / b[n - 1];
    theta[start + (n - 1) * stride] = v;
    for (int i = n - 2; i >= 0; i--) { v = (d[i] - c[i] * v) / b[i]; theta[start + i * stride] = v; }
  }
}

int main(int argc, char **argv) {
  int steps = argc > 1 ? atoi(argv[1]) : 20000;
  for (int i = 0; i < SIZE; i++) { kir[i] = 0.3 * (i - 40) + 0.0004 * i * i; tem[i] = i - 40; }
  for (int i = 0; i < NX * NZ; i++) theta[i] = 20 + (i % 17) * 4;
  double best = 1e9;
  for (int r = 0; r < 5; r++) {
    struct timespec t0, t1;
    clock_gettime(CLOCK_MONOTONIC, &t0);
    for (int n = 0; n < steps; n++) {
      sweep(NZ, NX, NX, 1, 0.003, 330, 4e-6);
      sweep(NX, 1, NZ, NX, 0.008, 125, 4e-6);
      for (int i = 0; i < NX * NZ; i++) { double u = theta[i] + 40; int j = u < 0 ? 0 : u > SIZE - 2 ? SIZE - 2 : (int)u; out[i] = tem[j] + (tem[j + 1] - tem[j]) * (u - j); }
    }
    clock_gettime(CLOCK_MONOTONIC, &t1);
    double ns = ((t1.tv_sec - t0.tv_sec) * 1e9 + (t1.tv_nsec - t0.tv_nsec)) / ((double)steps * 2 * NX * NZ);
    if (ns < best) best = ns;
  }
  printf("%.3f %.6f\n", best, out[5]);
  return 0;
}
