/* The inner loop of core/kernel/sweep.ts in C, for `npm run bench`: the same pairs of slope and intercept, rows made
   and eliminated in one pass, the same walls at the ends, over the same axisymmetric grid. Prints nanoseconds per cell
   update. */
#include <stdio.h>
#include <stdlib.h>
#include <time.h>

#define NX 14
#define NZ 16
#define SIZE 1461
#define MIN (-60)

static double theta[NX * NZ], dry[NX * NZ];
static double kir[2 * SIZE], tem[2 * SIZE], transport[SIZE], phi[SIZE];
static double c[32], d[32], wall[2][32], heat;
static const double boils = 102, plateau = 256;

typedef struct { double b, d, p, r, g, t0, slope, theta0; } Ends;

static double shifted(double th, double x) {
  return th <= boils + 6 * x ? boils + (th - boils) * plateau / 6 : th + (plateau - 6) * x;
}

static void couple(Ends *e, int cell, double *tw, double half, double areaOverVolume, double dt, double air) {
  double th = theta[cell], at = th > boils ? shifted(th, dry[cell]) : th;
  int j = (int)(at - MIN);
  double slope = tem[2 * j], t = slope * at + tem[2 * j + 1], growth = phi[j];
  e->theta0 = th; e->t0 = t; e->slope = slope;
  e->g = 1 / (half / transport[j]);
  double tp = *tw, ta = air + 273.15, ts = tp + 273.15, h = 0, eps = 0;
  double q = h * (air - tp) + eps * 5.67e-8 * (ta * ta * ta * ta - ts * ts * ts * ts);
  double hw = (h + 4 * eps * 5.67e-8 * ts * ts * ts) * growth, below = hw + e->g;
  e->p = (q * growth + hw * tp) / below; e->r = e->g / below;
  double scaled = areaOverVolume * dt * e->g / 2.6e6;
  e->b = scaled * (1 - e->r) * slope; e->d = scaled * (e->p - (1 - e->r) * (t - slope * th));
}

static void settle(Ends *e, double th, double *tw, double dt) {
  double t = e->t0 + e->slope * (th - e->theta0), tp = e->p + e->r * t;
  *tw = tp; heat += e->g * (tp - t) * dt;
}

static void sweep(int n, int stride, int lines, int lstride, const double *out, const double *into, int both, double dt) {
  for (int l = 0; l < lines; l++) {
    Ends low = {0}, high = {0};
    int start = l * lstride, last = n - 1, cell = start;
    if (both) { couple(&low, start, &wall[0][l], 0.001, 330, dt, 180); couple(&high, start + last * stride, &wall[1][l], 0.001, 330, dt, 180); }
    double th = theta[cell];
    int j = (int)(th - MIN) * 2;
    double s = kir[j], k = kir[j + 1], xb = low.b, xd = low.d, cb = 0, db = 0, sb = 0, in = 0, flux = 0;
    for (int i = 0; i < last; i++) {
      cell += stride;
      double next = theta[cell];
      int jj = (int)(next - MIN) * 2;
      double ss = kir[jj], kk = kir[jj + 1];
      if (next > boils) { double at = shifted(next, dry[cell]); jj = (int)(at - MIN) * 2; ss = kir[jj]; kk = kir[jj + 1] + kir[jj] * at - ss * next; }
      double o = out[i], a = in * sb, m = 1 / (1 + xb + (o + in) * s - a * cb);
      cb = o * ss * m; db = (th + xd + o * (kk - k) - flux + a * db) * m;
      c[i] = cb; d[i] = db;
      in = into[i + 1]; flux = in * (kk - k); sb = s; th = next; s = ss; k = kk; xb = xd = 0;
    }
    double a = in * sb, v = (th + high.d - flux + a * db) / (1 + high.b + in * s - a * cb);
    theta[cell] = v;
    for (int i = last - 1; i >= 0; i--) { cell -= stride; v = d[i] + c[i] * v; theta[cell] = v; }
    if (both) { settle(&low, theta[start], &wall[0][l], dt); settle(&high, theta[start + last * stride], &wall[1][l], dt); }
  }
}

int main(int argc, char **argv) {
  int steps = argc > 1 ? atoi(argv[1]) : 20000;
  double oz[32], ox[32], best = 1e9;
  for (int i = 0; i < SIZE; i++) {
    double t = i + MIN, a = 0.3 * t + 0.0004 * t * t, b = 0.3 * (t + 1) + 0.0004 * (t + 1) * (t + 1);
    kir[2 * i] = b - a; kir[2 * i + 1] = a - (b - a) * t;
    tem[2 * i] = 1; tem[2 * i + 1] = 0; transport[i] = 0.3; phi[i] = 1;
  }
  for (int i = 0; i < 32; i++) { oz[i] = 5 / 2.6e6 / 0.003 * 330; ox[i] = 5 / 2.6e6 / 0.008 * 125; }
  for (int i = 0; i < NX * NZ; i++) theta[i] = 20 + (i % 17) * 4;
  for (int r = 0; r < 5; r++) {
    struct timespec t0, t1;
    clock_gettime(CLOCK_MONOTONIC, &t0);
    for (int n = 0; n < steps; n++) { sweep(NZ, NX, NX, 1, oz, oz, 1, 5); sweep(NX, 1, NZ, NX, ox, ox, 0, 5); }
    clock_gettime(CLOCK_MONOTONIC, &t1);
    double ns = ((t1.tv_sec - t0.tv_sec) * 1e9 + (t1.tv_nsec - t0.tv_nsec)) / ((double)steps * 2 * NX * NZ);
    if (ns < best) best = ns;
  }
  printf("%.3f %.6f %.3f\n", best, theta[5], heat);
  return 0;
}
