// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/contrast.h"

#include <vector>

namespace hillrun {

/// Errors of the builds' numbers in units of their estimated sd, draws x builds. Needs degrees of freedom.
Eigen::MatrixXf drawErrors(const NumbersOfBuilds& numbers);

/// 95 % point of the largest |t| of several contrasts of the builds' numbers at once (multivariate t). They hang on the
/// design alone and are kept.
double familyCritical(const NumbersOfBuilds& numbers, const std::vector<Eigen::VectorXd>& contrasts, DrawCache& cache);

} // namespace hillrun
