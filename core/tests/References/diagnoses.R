# 200 made-up networks of causes and findings, and the chances of each cause in them: by the whole joint distribution over every set of causes,
# cut down to sets of one or two. Nothing here is taken from the core; it prints JSON.
set.seed(20261128)
leak <- 0.02
json <- function(x) {
  if (is.list(x)) {
    if (!is.null(names(x))) paste0("{", paste0("\"", names(x), "\":", vapply(x, json, ""), collapse = ","), "}")
    else paste0("[", paste0(vapply(x, json, ""), collapse = ","), "]")
  } else if (is.character(x)) paste0("\"", x, "\"")
  else if (length(x) == 1 && is.null(attr(x, "row"))) sprintf("%.15g", x)
  else paste0("[", paste0(sprintf("%.15g", x), collapse = ","), "]")
}
row <- function(x) { attr(x, "row") <- TRUE; x }
cases <- lapply(1:200, function(k) {
  n <- sample(2:7, 1)
  prior <- round(runif(n, 0.005, 0.4), 3)
  # Questions: a symptom that is there or not, or a look that shows nothing or one of some things.
  questions <- lapply(1:sample(2:5, 1), function(q) {
    m <- sample(0:3, 1)
    findings <- lapply(1:max(1, m), function(f) round(sample(c(0, 1), n, TRUE, c(0.4, 0.6)) * runif(n, 0.02, 0.98), 3))
    answers <- if (m == 0) 2 else m + 1
    seen <- if (runif(1) < 0.7) { s <- numeric(answers); s[sample(answers, 1)] <- 1; s } else round(runif(answers, 0.05, 1), 3)
    list(look = m, findings = findings, seen = seen)
  })
  total <- 0
  mass <- numeric(n)
  for (code in 1:(2^n - 1)) {
    there <- as.logical(bitwAnd(code, 2^(0:(n - 1))))
    if (sum(there) > 2) next
    p <- prod(ifelse(there, prior, 1 - prior))
    for (q in questions) {
      shown <- vapply(q$findings, function(by) 1 - (1 - leak) * prod(1 - by[there]), 0)
      each <- if (q$look == 0) c(shown[1], 1 - shown[1]) else {
        # Each pattern of what may be seen at once; looks that show two things are never made.
        w <- c(prod(1 - shown), vapply(seq_along(shown), function(i) shown[i] * prod(1 - shown[-i]), 0))
        w / sum(w)
      }
      p <- p * sum(q$seen * each)
    }
    total <- total + p
    mass <- mass + p * there
  }
  list(prior = row(prior), questions = lapply(questions, function(q) list(look = q$look, findings = lapply(q$findings, row), seen = row(q$seen))), chances = row(mass / total))
})
cat("[", paste(vapply(cases, json, ""), collapse = ",\n"), "]\n", sep = "")
