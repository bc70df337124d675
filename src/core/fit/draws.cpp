// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/fit/draws.h"

#include <algorithm>
#include <boost/random/chi_squared_distribution.hpp>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <cmath>
#include <random>

namespace hillrun {
namespace {

constexpr unsigned kSeed = 20260516;
constexpr int kMostCopies = 40; ///< of the noise, for one drawn variance
/// The slow modes keep this much of the variance; the rest joins the white part.
constexpr double kVarianceKept = 0.985;
/// A white part below this is not drawn point by point; the slow part is scaled up for it.
constexpr double kWhiteWorthDrawing = 0.05;
/// With many degrees of freedom the variance hardly varies: then one drawn variance serves several draws.
int drawsAVariance(int degreesOfFreedom) { return std::clamp(degreesOfFreedom / 3, 1, 10); }

using Generator = boost::random::mt19937;

struct Process {
    Eigen::MatrixXf factor; ///< points x modes, minus the mean over the core
    double white = 0.0;     ///< variance without correlation
};

Process makeProcess(const DrawKey& key, const std::vector<size_t>& points) {
    const auto n = static_cast<Eigen::Index>(points.size());
    Eigen::MatrixXd covariance(n, n);
    const double length = key.correlation.length_rpm;
    for (Eigen::Index i = 0; i < n; ++i) {
        for (Eigen::Index j = 0; j < n; ++j) {
            const double h = key.rpm[points[static_cast<size_t>(i)]] - key.rpm[points[static_cast<size_t>(j)]];
            covariance(i, j) = (1.0 - key.correlation.nugget) * std::exp(-h * h / (2.0 * length * length));
        }
    }
    const Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> eigen(covariance);
    const double whole = std::max(eigen.eigenvalues().sum(), 1e-12);
    Eigen::Index modes = 0;
    double kept = 0.0;
    for (; modes < n && kept < kVarianceKept * whole; ++modes)
        kept += eigen.eigenvalues()(n - 1 - modes);
    Eigen::MatrixXd factor =
        eigen.eigenvectors().rightCols(modes) * eigen.eigenvalues().tail(modes).cwiseMax(0.0).cwiseSqrt().asDiagonal();
    Eigen::RowVectorXd coreMean = Eigen::RowVectorXd::Zero(modes);
    double corePoints = 0.0;
    for (Eigen::Index i = 0; i < n; ++i) {
        if (!key.core[points[static_cast<size_t>(i)]])
            continue;
        coreMean += factor.row(i);
        corePoints += 1.0;
    }
    if (corePoints > 0.0)
        factor.rowwise() -= coreMean / corePoints;
    return {factor.cast<float>(), key.correlation.nugget + std::max(0.0, whole - kept) / static_cast<double>(n)};
}

/// The variance is smooth along rpm, so its copies are drawn at every few points only.
struct VarianceNodes {
    Eigen::MatrixXf factor;   ///< nodes x modes
    Eigen::MatrixXf smoother; ///< points x nodes
};

VarianceNodes makeNodes(const DrawKey& key, const std::vector<size_t>& points, const Process& process) {
    const double step = key.rpm.size() > 1 ? key.rpm[1] - key.rpm[0] : 1.0;
    const double spacing = std::min(150.0, 0.6 * key.correlation.length_rpm);
    const size_t stride = std::max<size_t>(1, static_cast<size_t>(spacing / step));
    std::vector<size_t> nodes;
    for (size_t i = std::min(points.size() - 1, stride / 2); i < points.size(); i += stride)
        nodes.push_back(i);

    std::vector<double> rpm;
    Eigen::VectorXd weight(static_cast<Eigen::Index>(nodes.size()));
    VarianceNodes out;
    out.factor.resize(weight.size(), process.factor.cols());
    for (size_t k = 0; k < nodes.size(); ++k) {
        rpm.push_back(key.rpm[points[nodes[k]]]);
        weight(static_cast<Eigen::Index>(k)) = key.weight[points[nodes[k]]];
        out.factor.row(static_cast<Eigen::Index>(k)) = process.factor.row(static_cast<Eigen::Index>(nodes[k]));
    }
    if (weight.sum() <= 0.0)
        weight.setOnes();
    const std::vector<char> all(nodes.size(), 1);
    out.smoother.resize(static_cast<Eigen::Index>(points.size()), weight.size());
    for (size_t i = 0; i < points.size(); ++i) {
        const double at = key.rpm[points[i]];
        const auto nearest = std::min_element(rpm.begin(), rpm.end(),
                                              [&](double a, double b) { return std::abs(a - at) < std::abs(b - at); });
        out.smoother.row(static_cast<Eigen::Index>(i)) =
            varianceSmoother(rpm, all, weight, static_cast<size_t>(nearest - rpm.begin())).cast<float>().transpose();
    }
    return out;
}

class Normals {
public:
    explicit Normals(Generator& generator) : m_generator(generator) {}
    void fill(Eigen::MatrixXf& matrix) {
        float* data = matrix.data();
        for (Eigen::Index i = 0; i < matrix.size(); ++i)
            data[i] = m_normal(m_generator);
    }

private:
    Generator& m_generator;
    boost::random::normal_distribution<float> m_normal;
};

} // namespace

void oneAfterAnother(size_t count, const std::function<void(size_t)>& work) {
    for (size_t i = 0; i < count; ++i)
        work(i);
}

namespace {

/// Makes the draws block by block.
class DrawMaker {
public:
    DrawMaker(const DrawKey& key, Draws& out)
        : m_nu(key.degreesOfFreedom), m_process(makeProcess(key, out.points)),
          m_nodes(makeNodes(key, out.points, m_process)), m_out(out) {
        m_expected = m_nodes.factor.rowwise().squaredNorm();
        m_drawWhite = m_process.white >= kWhiteWorthDrawing;
        m_slowScale = static_cast<float>(m_drawWhite ? 1.0 : std::sqrt(1.0 / (1.0 - m_process.white)));
    }

    void makeBlock(size_t number) const {
        std::seed_seq seed{kSeed, static_cast<unsigned>(number)};
        Generator generator(seed);
        Normals normals(generator);
        const Eigen::Index first = static_cast<Eigen::Index>(number) * kDrawBlock;
        const auto copies = static_cast<Eigen::Index>(m_out.shape.size());
        Eigen::MatrixXf level(copies, kDrawBlock);
        normals.fill(level);
        m_out.levelNormal.middleCols(first, kDrawBlock) = level;
        boost::random::chi_squared_distribution<double> chiLevel(m_nu);
        for (Eigen::Index j = 0; j < kDrawBlock; ++j)
            m_out.levelScale(first + j) = static_cast<float>(std::sqrt(m_nu / chiLevel(generator)));
        const Eigen::MatrixXf scale = inverseRoots(generator, normals);
        Eigen::MatrixXf z(m_process.factor.cols(), kDrawBlock);
        Eigen::MatrixXf white(m_process.factor.rows(), kDrawBlock);
        for (auto& copy : m_out.shape) {
            normals.fill(z);
            auto target = copy.middleCols(first, kDrawBlock);
            target.noalias() = m_process.factor * z;
            if (m_drawWhite) {
                normals.fill(white);
                target += static_cast<float>(std::sqrt(m_process.white)) * white;
            }
            target.array() *= scale.array() * m_slowScale;
        }
    }

private:
    /// One over the root of a drawn variance, points x draws.
    Eigen::MatrixXf inverseRoots(Generator& generator, Normals& normals) const {
        const Eigen::Index variances = kDrawBlock / drawsAVariance(m_nu); // each used several times
        // The mean of many copies scatters as that of fewer does, only less: no more than kMostCopies are drawn.
        const int copies = std::min(m_nu, kMostCopies);
        const auto share = static_cast<float>(std::sqrt(static_cast<double>(copies) / m_nu));
        Eigen::MatrixXf z(m_process.factor.cols(), variances);
        Eigen::MatrixXf squares = Eigen::MatrixXf::Zero(m_nodes.factor.rows(), variances);
        for (int m = 0; m < copies; ++m) {
            normals.fill(z);
            squares.array() += (m_nodes.factor * z).array().square();
        }
        squares /= static_cast<float>(copies);
        if (copies < m_nu)
            squares = (share * (squares.colwise() - m_expected)).colwise() + m_expected;
        Eigen::MatrixXf variance = m_nodes.smoother * squares;
        // White noise is averaged over about twenty points of the box and all copies: one chi-square a draw.
        const double whiteFreedom = 20.0 * m_nu;
        boost::random::chi_squared_distribution<double> chiWhite(whiteFreedom);
        for (Eigen::Index j = 0; j < variances; ++j)
            variance.col(j).array() += static_cast<float>(m_process.white * chiWhite(generator) / whiteFreedom);
        // A true root: an approximate one would differ between processors.
        variance = variance.array().max(1e-6F).sqrt().inverse();
        Eigen::MatrixXf out(variance.rows(), kDrawBlock);
        for (Eigen::Index j = 0; j < kDrawBlock; ++j)
            out.col(j) = variance.col(j % variances);
        return out;
    }

    int m_nu;
    Process m_process;
    VarianceNodes m_nodes;
    Draws& m_out;
    Eigen::VectorXf m_expected; ///< variance at the nodes
    bool m_drawWhite = false;
    float m_slowScale = 1.0F;
};

} // namespace

Draws makeDraws(const DrawKey& key, const ForEach& forEach) {
    Draws out;
    out.count = kDrawCount;
    for (size_t p = 0; p < key.window.size(); ++p)
        if (key.window[p])
            out.points.push_back(p);
    out.levelNormal.resize(key.copies, kDrawCount);
    out.levelScale.resize(kDrawCount);
    out.shape.resize(static_cast<size_t>(key.copies));
    for (Eigen::MatrixXf& copy : out.shape) // its memory is first touched by the block that fills it
        copy.resize(static_cast<Eigen::Index>(out.points.size()), kDrawCount);
    const DrawMaker maker(key, out);
    forEach(kDrawCount / kDrawBlock, [&](size_t block) { maker.makeBlock(block); });
    return out;
}

DrawKey drawKey(const DayModel& model, int copies) {
    DrawKey key;
    key.degreesOfFreedom = model.degreesOfFreedom;
    key.copies = copies;
    key.rpm = model.input.rpm;
    key.window = model.window;
    key.core = model.core;
    for (Eigen::Index p = 0; p < model.shapeWeight.size(); ++p)
        key.weight.push_back(static_cast<int>(model.shapeWeight(p)));
    key.correlation = model.correlation;
    return key;
}

double upper95(std::vector<float> values) {
    const auto at = static_cast<std::ptrdiff_t>(std::ceil(0.95 * static_cast<double>(values.size()))) - 1;
    std::nth_element(values.begin(), values.begin() + at, values.end());
    return values[static_cast<size_t>(at)];
}

std::shared_ptr<const Draws> DrawCache::get(const DrawKey& key) {
    constexpr size_t kKept = 2; // ten builds take 50 MB a set
    {
        const std::lock_guard lock(m_mutex);
        for (const auto& [known, draws] : m_entries)
            if (known == key)
                return draws;
    }
    auto made = std::make_shared<const Draws>(makeDraws(key, m_forEach));
    const std::lock_guard lock(m_mutex);
    if (m_entries.size() >= kKept)
        m_entries.erase(m_entries.begin());
    m_entries.emplace_back(key, made);
    return made;
}

std::vector<double> DrawCache::numbers(const std::vector<double>& key,
                                       const std::function<std::vector<double>()>& make) {
    constexpr size_t kKept = 8;
    {
        const std::lock_guard lock(m_mutex);
        for (const auto& [known, values] : m_numbers)
            if (known == key)
                return values;
    }
    std::vector<double> out = make();
    const std::lock_guard lock(m_mutex);
    if (m_numbers.size() >= kKept)
        m_numbers.erase(m_numbers.begin());
    m_numbers.emplace_back(key, out);
    return out;
}

} // namespace hillrun
