// SPDX-License-Identifier: GPL-3.0-or-later
#include "colour/lamp.h"
#include "light/levels.h"
#include "mix/camera_miss.h"
#include "mix/trade_off.h"
#include "support/cameras.h"
#include "support/shipped.h"

#include <gtest/gtest.h>
#include <nlopt.hpp>

namespace zelo::mix {
namespace {

using colour::Uv;

const std::vector<std::string> kTypes = {"gannet-8", "avocet-7", "tern-6", "plover-5", "shag-6"};

MixWish filmedBy(std::vector<std::string> names, double give_up = 0.3) {
    MixWish wish = test::wishOf(Intent::Filmed, give_up);
    wish.cameras = test::shippedCameras(names);
    return wish;
}

// By another road: plain sums of the mix's own spectrum.
double missOf(const colour::Camera& camera, const Mixer& mixer, const Mix& mix,
              const light::Wanted& wanted) {
    const auto shares = [&](const colour::Spectrum& light) {
        double sum[3] = {};
        for (std::size_t i = 0; i < colour::kGridSize; ++i)
            for (std::size_t k = 0; k < 3; ++k)
                sum[k] += light[i] * camera.sensitivity(k)[i];
        const double all = sum[0] + sum[1] + sum[2];
        return std::pair(sum[0] / all, sum[1] / all);
    };
    const auto got = shares(light::spectrumOf(mixer.type(), mix.drives));
    const auto asked = shares(*wanted.spectrum);
    return std::hypot(got.first - asked.first, got.second - asked.second);
}

TEST(Filmed, IsNeverFurtherForTheCameraThanTruestAndAsExactForTheEye) {
    for (const auto& id : kTypes) {
        const Mixer mixer = test::shippedMixer(id);
        for (const char* name : {"kittiwake", "fulmar", "guillemot"}) {
            const auto wish = filmedBy({name});
            int nearer = 0;
            int tried = 0;
            for (std::size_t i = 0; i < test::shippedBook().gels.size(); i += 7) {
                const auto wanted = test::gelWanted(test::shippedBook().gels[i]);
                const Mix filmed = mixer.solve(wanted, wish);
                const Mix truest = mixer.solve(wanted, test::wishOf(Intent::Truest));
                EXPECT_EQ(filmed.end, truest.end);
                if (filmed.end != MixEnd::InReach)
                    continue;
                ++tried;
                EXPECT_LT(filmed.miss_uv, 1e-6) << id << " " << wanted.asked.index();
                EXPECT_GE(filmed.got.Y, 0.7 * filmed.brightest_cd * (1 - 1e-6));
                const double miss = missOf((*wish.cameras)[0], mixer, filmed, wanted);
                const double before = missOf((*wish.cameras)[0], mixer, truest, wanted);
                EXPECT_LE(miss, before + 1e-7) << id << " " << name << " " << i;
                nearer += miss < 0.7 * before;
            }
            EXPECT_GT(nearer, tried / 2) << id << " " << name;
        }
    }
}

// The same program by NLopt: the camera's miss itself, no sum of squares, at the exact colour.
TEST(Filmed, IsAsNearAsAGeneralSolverFinds) {
    for (const auto& id : {"gannet-8", "tern-6", "plover-5"}) {
        const Mixer mixer = test::shippedMixer(id);
        const auto wish = filmedBy({"fulmar"});
        const colour::Camera& camera = (*wish.cameras)[0];
        for (const char* gel : {"104", "214", "338", "508", "346"}) {
            const auto wanted = test::gelWanted(gel);
            const Mix ours = mixer.solve(wanted, wish);
            if (ours.end != MixEnd::InReach)
                continue;
            struct Data {
                std::vector<double> r, g, all;
                std::vector<colour::Xyz> xyz;
                colour::Xyz d;
                double y;
            } data;
            const auto aim = *camera.chromaticityOf(*wanted.spectrum);
            for (const auto& e : mixer.type().emitters) {
                const auto rgb = camera.seen(e.spectrum);
                const double all = rgb[0] + rgb[1] + rgb[2];
                data.r.push_back(rgb[0] - aim.r * all);
                data.g.push_back(rgb[1] - aim.g * all);
                data.all.push_back(all);
                data.xyz.push_back(e.xyz());
            }
            data.d = wanted.xyz;
            data.y = 0.7 * ours.brightest_cd;
            const auto n = static_cast<unsigned>(data.r.size());
            nlopt::opt opt(nlopt::LD_SLSQP, n);
            opt.set_lower_bounds(0);
            opt.set_upper_bounds(1);
            opt.set_min_objective(
                [](unsigned size, const double* x, double* slope, void* p) {
                    const auto& of = *static_cast<Data*>(p);
                    double r = 0, g = 0, s = 0;
                    for (unsigned i = 0; i < size; ++i) {
                        r += x[i] * of.r[i];
                        g += x[i] * of.g[i];
                        s += x[i] * of.all[i];
                    }
                    const double f = (r * r + g * g) / (s * s);
                    for (unsigned i = 0; slope && i < size; ++i)
                        slope[i] = 1e4 * (2 * (r * of.r[i] + g * of.g[i]) / (s * s) -
                                          2 * f * of.all[i] / s);
                    return 1e4 * f;
                },
                &data);
            opt.add_equality_mconstraint(
                [](unsigned, double* out, unsigned size, const double* x, double* slope, void* p) {
                    const auto& of = *static_cast<Data*>(p);
                    out[0] = out[1] = 0;
                    out[2] = -1;
                    for (unsigned i = 0; i < size; ++i) {
                        const double rows[] = {(of.xyz[i].X - of.d.X / of.d.Y * of.xyz[i].Y) / of.y,
                                               (of.xyz[i].Z - of.d.Z / of.d.Y * of.xyz[i].Y) / of.y,
                                               of.xyz[i].Y / of.y};
                        for (unsigned k = 0; k < 3; ++k) {
                            out[k] += x[i] * rows[k];
                            if (slope)
                                slope[k * size + i] = rows[k];
                        }
                    }
                },
                &data, std::vector<double>(3, 1e-10));
            opt.set_ftol_abs(1e-14);
            opt.set_maxeval(3000);
            std::vector<double> x(n);
            const Mix start = mixer.solve(wanted, test::wishOf(Intent::Truest));
            for (unsigned i = 0; i < n; ++i)
                x[i] = start.drives[i];
            double least = 0;
            try {
                opt.optimize(x, least);
            } catch (const nlopt::roundoff_limited&) {
            }
            const double theirs = std::sqrt(std::max(0.0, opt.last_optimum_value()) / 1e4);
            EXPECT_LT(missOf(camera, mixer, ours, wanted), theirs + 1e-6) << id << " " << gel;
        }
    }
}

TEST(Filmed, MovesALittleWhenTheColourMovesALittle) {
    const Mixer mixer = test::shippedMixer("gannet-8");
    const auto wish = filmedBy({"kittiwake"});
    for (const char* gel : {"104", "214", "338"}) {
        const auto wanted = test::gelWanted(gel);
        const Mix here = mixer.solve(wanted, wish);
        for (const Uv step : {Uv{1e-6, 0}, Uv{0, 1e-6}, Uv{-1e-6, 1e-6}}) {
            auto near = wanted;
            near.xyz = colour::toXyz(wanted.uv() + step);
            const Mix there = mixer.solve(near, wish);
            for (std::size_t e = 0; e < here.drives.size(); ++e)
                EXPECT_NEAR(here.drives[e], there.drives[e], 2e-3) << gel << " " << e;
        }
    }
}

TEST(Filmed, ACameraThatSeesAsTheEyeDoesIsSatisfiedByTheColour) {
    const auto& f = colour::matchingFunctions(colour::Observer::Cie1931_2);
    const auto d65 = colour::lampOf({6500});
    const auto eye = std::make_shared<const colour::Cameras>(colour::Cameras{*colour::Camera::of(
        "eye", {colour::Spectrum(f.x), colour::Spectrum(f.y), colour::Spectrum(f.z)}, d65)});
    // Rows that mix the eye's: as good.
    colour::Grid red{}, green{}, blue{};
    for (std::size_t i = 0; i < colour::kGridSize; ++i) {
        red[i] = 0.8 * f.x[i] + 0.3 * f.y[i];
        green[i] = 0.1 * f.x[i] + 0.9 * f.y[i] + 0.1 * f.z[i];
        blue[i] = 0.2 * f.y[i] + 0.7 * f.z[i];
    }
    const auto linear = std::make_shared<const colour::Cameras>(colour::Cameras{*colour::Camera::of(
        "mixed", {colour::Spectrum(red), colour::Spectrum(green), colour::Spectrum(blue)}, d65)});
    const Mixer mixer = test::shippedMixer("gannet-8");
    for (const auto& cameras : {eye, linear})
        for (const char* gel : {"104", "338", "508"}) {
            const auto wanted = test::gelWanted(gel);
            MixWish wish = test::wishOf(Intent::Filmed);
            wish.cameras = cameras;
            const Mix mix = mixer.solve(wanted, wish);
            if (mix.end != MixEnd::InReach)
                continue;
            EXPECT_LT(missOf((*cameras)[0], mixer, mix, wanted), 1e-6);
            // And nothing to gain: the mix is Truest's.
            const Mix truest = mixer.solve(wanted, test::wishOf(Intent::Truest));
            EXPECT_NEAR(mixer.spectralMiss(mix.drives, *wanted.spectrum),
                        mixer.spectralMiss(truest.drives, *wanted.spectrum), 1e-4);
        }
}

TEST(Filmed, OfSeveralTheLargestMissIsSmallest) {
    for (const auto& id : {"gannet-8", "avocet-7", "tern-6"}) {
        const Mixer mixer = test::shippedMixer(id);
        const auto both = filmedBy({"fulmar", "guillemot"});
        for (const char* gel : {"104", "214", "338", "508"}) {
            const auto wanted = test::gelWanted(gel);
            const Mix mix = mixer.solve(wanted, both);
            if (mix.end != MixEnd::InReach)
                continue;
            const auto largest = [&](const Mix& of) {
                return std::max(missOf((*both.cameras)[0], mixer, of, wanted),
                                missOf((*both.cameras)[1], mixer, of, wanted));
            };
            const double ours = largest(mix);
            EXPECT_NEAR(*largestCameraMiss(*wanted.spectrum,
                                           light::spectrumOf(mixer.type(), mix.drives),
                                           *both.cameras),
                        ours, 1e-9);
            for (const char* one : {"fulmar", "guillemot"})
                EXPECT_LE(ours, largest(mixer.solve(wanted, filmedBy({one}))) + 1e-6) << id << gel;
            EXPECT_LE(ours, largest(mixer.solve(wanted, test::wishOf(Intent::Truest))) + 1e-6);
        }
    }
}

TEST(Filmed, WithoutRoomItIsTruestAndSaysSo) {
    const auto wanted = test::gelWanted("214");
    const Mixer three = test::shippedMixer("dunlin-3");
    const auto wish = filmedBy({"fulmar"});
    EXPECT_EQ(three.solve(wanted, wish).drives,
              three.solve(wanted, test::wishOf(Intent::Truest)).drives);
    EXPECT_TRUE(cameraRoom(three, wish).none());
    EXPECT_NE(words(cameraRoom(three, wish)).english().find("3 emitters"), std::string::npos);
    const Mixer eight = test::shippedMixer("gannet-8");
    EXPECT_TRUE(words(cameraRoom(eight, wish)).empty());
    const Mixer five = test::shippedMixer("plover-5");
    EXPECT_TRUE(words(cameraRoom(five, wish)).empty());
    const auto two = cameraRoom(five, filmedBy({"fulmar", "guillemot"}));
    EXPECT_FALSE(two.none());
    EXPECT_FALSE(words(two).empty());
    auto exact = filmedBy({"fulmar", "guillemot"});
    exact.exact_for_camera = true;
    EXPECT_TRUE(words(cameraRoom(five, exact)).empty()) << "only the eye looks on";
    const auto flags = cameraRoom(test::shippedMixer("skua-cmy"), exact);
    EXPECT_TRUE(flags.for_eye);
    EXPECT_FALSE(words(flags).empty()) << "it says that the eye's is exact";
    auto held = wish;
    held.keep_out = {0, 1, 2};
    held.pins = {{3, 0.1}, {4, 0.1}};
    EXPECT_TRUE(cameraRoom(eight, held).none());
    // Without a camera too.
    EXPECT_EQ(eight.solve(wanted, test::wishOf(Intent::Filmed)).drives,
              eight.solve(wanted, test::wishOf(Intent::Truest)).drives);
}

TEST(Filmed, PinsAndKeepOutsHold) {
    const Mixer mixer = test::shippedMixer("gannet-8");
    auto wish = filmedBy({"kittiwake"});
    wish.keep_out = {0};
    wish.pins = {{2, 0.2}};
    for (const char* gel : {"104", "214", "338"}) {
        const auto wanted = test::gelWanted(gel);
        const Mix mix = mixer.solve(wanted, wish);
        EXPECT_EQ(mix.drives[0], 0);
        EXPECT_EQ(mix.drives[2], 0.2);
        auto plain = wish;
        plain.intent = Intent::Truest;
        const Mix truest = mixer.solve(wanted, plain);
        if (mix.end == MixEnd::InReach) {
            EXPECT_LE(missOf((*wish.cameras)[0], mixer, mix, wanted),
                      missOf((*wish.cameras)[0], mixer, truest, wanted) + 1e-7);
        }
    }
}

TEST(Filmed, TheTradeOffTellsTheCamerasMiss) {
    const Mixer mixer = test::shippedMixer("tern-6");
    const auto wanted = test::gelWanted("214");
    const auto wish = filmedBy({"fulmar"});
    ASSERT_EQ(gainOf(wish, wanted), Gain::CameraMiss);
    EXPECT_FALSE(gainOf(test::wishOf(Intent::Filmed), wanted));
    const auto curve = tradeOff(mixer, wanted, wish, colour::lampOf({4300}), 8);
    ASSERT_EQ(curve.size(), 8u);
    for (std::size_t i = 1; i < curve.size(); ++i)
        EXPECT_LE(curve[i].value, curve[i - 1].value + 1e-6) << "more given up is never worse";
}

TEST(Filmed, FlagsToo) {
    const Mixer skua = test::shippedMixer("skua-cmy");
    const auto wish = filmedBy({"guillemot"}, 0.6);
    int nearer = 0;
    for (std::size_t i = 0; i < test::shippedBook().gels.size(); i += 9) {
        const auto wanted = test::gelWanted(test::shippedBook().gels[i]);
        const Mix filmed = skua.solve(wanted, wish);
        const Mix truest = skua.solve(wanted, test::wishOf(Intent::Truest, 0.6));
        if (filmed.end != MixEnd::InReach)
            continue;
        EXPECT_LT(filmed.miss_uv, 1e-6);
        EXPECT_GE(filmed.got.Y, 0.4 * filmed.brightest_cd * (1 - 1e-5));
        const double miss = missOf((*wish.cameras)[0], skua, filmed, wanted);
        const double before = missOf((*wish.cameras)[0], skua, truest, wanted);
        EXPECT_LE(miss, before + 1e-9);
        nearer += miss < before - 1e-3;
        // By another road: one flag held at many places, the others make the colour.
        for (int k = 0; k <= 20; ++k) {
            MixWish held = test::wishOf(Intent::Brightest);
            held.pins = {{skua.type().indexOf({light::PartKind::Flag, 0}), k / 20.0}};
            const Mix other = skua.solve(wanted, held);
            if (other.end == MixEnd::InReach && other.got.Y >= 0.4 * filmed.brightest_cd) {
                EXPECT_GE(missOf((*wish.cameras)[0], skua, other, wanted), miss - 2e-4)
                    << i << " " << k;
            }
        }
    }
    EXPECT_GT(nearer, 3);
}

// The other way round: on the monitor it is the wanted light, to the eye as near as may be.
TEST(ExactForTheCamera, ItSeesTheColourExactlyAndTheEyeNearly) {
    for (const auto& id : {"gannet-8", "avocet-7", "tern-6"}) {
        const Mixer mixer = test::shippedMixer(id);
        auto wish = filmedBy({"fulmar"});
        wish.exact_for_camera = true;
        auto truest = wish;
        truest.intent = Intent::Truest;
        int tried = 0;
        for (const char* gel : {"104", "214", "338", "508", "346"}) {
            const auto wanted = test::gelWanted(gel);
            const Mix mix = mixer.solve(wanted, wish);
            if (mix.end != MixEnd::InReach)
                continue;
            ++tried;
            EXPECT_LT(missOf((*wish.cameras)[0], mixer, mix, wanted), 1e-6) << id << " " << gel;
            EXPECT_NEAR(mix.miss_uv, colour::distance(colour::toUv(mix.got), wanted.uv()), 1e-12);
            EXPECT_LE(mix.miss_uv, mixer.solve(wanted, truest).miss_uv + 1e-7) << id << " " << gel;
            EXPECT_NEAR(mix.ofBrightest(), 0.7, 0.12) << "of the eye's light, about";
        }
        EXPECT_GT(tried, 1) << id;
    }
}

TEST(ExactForTheCamera, ItsReachIsItsOwn) {
    // A colour that only the eye reaches with this type, and the other way round, are told apart.
    const Mixer mixer = test::shippedMixer("dunlin-3");
    auto wish = filmedBy({"kittiwake"});
    wish.exact_for_camera = true;
    int differ = 0;
    for (const auto& gel : test::shippedBook().gels) {
        const auto wanted = test::gelWanted(gel);
        const Mix by_camera = mixer.solve(wanted, wish);
        const Mix by_eye = mixer.solve(wanted, test::wishOf(Intent::Truest));
        differ += by_camera.end != by_eye.end;
        for (const double drive : by_camera.drives)
            EXPECT_TRUE(drive >= 0 && drive <= 1);
    }
    EXPECT_GT(differ, 0);
}

TEST(ExactForTheCamera, ALightThatItDoesNotSeeIsLeftToTheEye) {
    const Mixer mixer = test::shippedMixer("avocet-7");
    colour::Grid violet{};
    violet[5] = 1; // 385 nm
    colour::Grid blind{};
    for (std::size_t i = 60; i < colour::kGridSize; ++i)
        blind[i] = std::exp(-std::pow((static_cast<double>(i) - 170) / 60, 2));
    colour::Grid other = blind;
    for (std::size_t i = 0; i < colour::kGridSize; ++i)
        other[i] *= static_cast<double>(i);
    MixWish wish = test::wishOf(Intent::Filmed);
    wish.cameras = std::make_shared<const colour::Cameras>(colour::Cameras{*colour::Camera::of(
        "blind to violet",
        {colour::Spectrum(blind), colour::Spectrum(other), colour::Spectrum(blind)},
        colour::lampOf({5600}))});
    const auto wanted = test::wantedSpectrum(colour::Spectrum(violet));
    EXPECT_FALSE((*wish.cameras)[0].chromaticityOf(*wanted.spectrum));
    const Mix plain = mixer.solve(wanted, test::wishOf(Intent::Truest));
    EXPECT_EQ(mixer.solve(wanted, wish).drives, plain.drives);
    wish.exact_for_camera = true;
    EXPECT_EQ(mixer.solve(wanted, wish).drives, plain.drives);
}

// What is held and not seen by the camera leaves it nothing; and the eye's brightest is the eye's.
TEST(ExactForTheCamera, NothingThatItSeesIsLeft) {
    light::FixtureType type = *test::shippedType("petrel-4");
    ASSERT_EQ(type.emitters.size(), 4u);
    for (std::size_t e = 0; e < 4; ++e) {
        colour::Grid grid{};
        grid[e < 2 ? 2 * e + 2 : 220 + 20 * e] = 1; // violet, violet, two reds
        type.emitters[e].spectrum = colour::Spectrum(grid);
    }
    const auto mixer = test::mixerOf(type);
    colour::Grid rows[3] = {};
    for (std::size_t i = 20; i < colour::kGridSize; ++i)
        for (std::size_t k = 0; k < 3; ++k)
            rows[k][i] = std::exp(-std::pow((static_cast<double>(i) - 70.0 - 75.0 * k) / 30, 2));
    MixWish wish = test::wishOf(Intent::Filmed);
    wish.cameras = std::make_shared<const colour::Cameras>(colour::Cameras{*colour::Camera::of(
        "blind to violet",
        {colour::Spectrum(rows[0]), colour::Spectrum(rows[1]), colour::Spectrum(rows[2])},
        colour::lampOf({5600}))});
    wish.exact_for_camera = true;
    wish.pins = {{0, 0.5}};
    wish.keep_out = {2, 3};
    const Mix mix = mixer.solve(test::gelWanted("214"), wish);
    EXPECT_EQ(mix.drives[0], 0.5);
    EXPECT_EQ(mix.drives[2], 0);
    for (const auto intent : {Intent::Brightest, Intent::Kindest, Intent::Leanest}) {
        wish.intent = intent;
        for (const double d : mixer.solve(test::gelWanted("214"), wish).drives)
            EXPECT_TRUE(d >= 0 && d <= 1);
    }
}

TEST(ExactForTheCamera, OutOfReachTheSameHueIsTheCameras) {
    const Mixer mixer = test::shippedMixer("dunlin-3");
    auto wish = filmedBy({"kittiwake"});
    wish.exact_for_camera = true;
    wish.out_of_reach = OutOfReach::SameHue;
    wish.white = colour::toUv(colour::toXyz(colour::lampOf({4300})));
    const colour::Camera& camera = (*wish.cameras)[0];
    const auto white = colour::toUv(camera.chart(camera.white()));
    int tried = 0;
    for (const auto& gel : test::shippedBook().gels) {
        const auto wanted = test::gelWanted(gel);
        const Mix mix = mixer.solve(wanted, wish);
        if (mix.end != MixEnd::OutOfReach)
            continue;
        ++tried;
        const auto asked = colour::toUv(camera.chart(*wanted.spectrum)) - white;
        const auto got =
            colour::toUv(camera.chart(light::spectrumOf(mixer.type(), mix.drives))) - white;
        EXPECT_LT(std::abs(cross(asked, got)), 1e-6) << "on the way to the camera's white";
        EXPECT_GT(dot(asked, got), 0);
    }
    EXPECT_GT(tried, 0);
}

} // namespace
} // namespace zelo::mix
