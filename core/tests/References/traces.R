# 50 made-up curves of force over travel with one to three breaks, and where R finds them: the best pieces that need not meet by strucchange's
# dynamic programming, the best line that meets at its breaks by segmented, begun near the true ones and again by chance. Nothing here is taken from the
# core; it prints JSON.
suppressMessages({library(segmented); library(strucchange)})
numbers <- function(x) paste0("[", paste0(sprintf("%.12g", x), collapse = ","), "]")
begun <- function(y, x, from) {
  fit <- try(suppressWarnings(segmented(lm(y ~ x), seg.Z = ~x, psi = from, control = seg.control(n.boot = 60, it.max = 200, tol = 1e-10, seed = 7))), silent = TRUE)
  if (inherits(fit, "segmented") && nrow(fit$psi) == length(from)) fit else NULL
}
for (k in 1:50) {
  # Each begins anew: the fits below draw by chance as well.
  set.seed(20261127 + k)
  n <- sample(c(40, 60, 90, 120), 1)
  breaks <- 1 + (k - 1) %% 3
  reach <- runif(1, 40, 70)
  x <- round(seq(0, reach, length.out = n), 4)
  repeat {
    at <- sort(runif(breaks, 0.1, 0.9)) * reach
    if (all(diff(c(0, at, reach)) > 0.12 * reach)) break
  }
  slopes <- c(runif(1, 0, 0.3), sample(c(2, 5, 1.2, 8), breaks))
  y <- runif(1, 0.5, 3) + slopes[1] * x
  for (b in seq_len(breaks)) y <- y + (slopes[b + 1] - slopes[b]) * pmax(x - at[b], 0)
  y <- round(y + rnorm(n, 0, runif(1, 0.1, 0.8)), 4)
  apart <- breakpoints(y ~ x, h = 3, breaks = breaks)
  met <- begun(y, x, at)
  again <- begun(y, x, reach * seq_len(breaks) / (breaks + 1))
  if (is.null(met) || (!is.null(again) && deviance(again) < deviance(met))) met <- again
  cat(if (k == 1) "[" else ",\n", "{\"x\":", numbers(x), ",\"y\":", numbers(y), ",\"pieces\":", breaks + 1,
      ",\"apart\":{\"left\":", sprintf("%.12g", sum(residuals(apart)^2)), ",\"last\":", paste0("[", paste0(apart$breakpoints, collapse = ","), "]"),
      "},\"met\":{\"left\":", sprintf("%.12g", deviance(met)), ",\"at\":", numbers(sort(met$psi[, "Est."])), "}}", sep = "")
}
cat("]\n")
