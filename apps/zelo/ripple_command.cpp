// SPDX-License-Identifier: GPL-3.0-or-later
// zelo ripple: a kept ripple at moments, or one turn as a table.
#include "base/file.h"
#include "base/text.h"
#include "choices.h"
#include "commands.h"
#include "files/show_file.h"
#include "host/hand_over.h"
#include "play/compile.h"
#include "play/playing.h"
#include "print.h"
#include "report.h"
#include "show/edits.h"
#include "show/limits.h"
#include "show/ripple_edits.h"

#include <cmath>
#include <filesystem>
#include <fmt/format.h>

namespace zelo::cli {

namespace {

constexpr double kStep_s = 0.1; // of a turn as a table
constexpr double kMostMoments = 100'000;

struct RippleOptions {
    std::string show, name;
    std::vector<double> at;
    double step = kStep_s;
    bool csv = false;
    std::string turn; // a file
    double tolerance = 0.006;
};

Done printRipple(Context& context, const RippleOptions& o) {
    const auto opened = files::readShow(o.show);
    if (!opened)
        return passOn(opened.error());
    for (const auto& note : opened->notes)
        put(stderr, "zelo: {}: {}\n", o.show, note);
    const show::Ripple* ripple = nullptr;
    for (const auto& [id, one] : opened->show->ripples)
        if (one->name == o.name)
            ripple = one.get();
    if (!ripple)
        return fail(ErrorCode::NotFound, ZELO_TEXT("core", "no ripple '{}' in '{}'"), o.name,
                    opened->show->name);
    if (!(o.step > 0))
        return fail(ErrorCode::BadValue, ZELO_TEXT("core", "--step {}: must be above 0"), o.step);
    play::Mixes mixes;
    play::Ways ways;
    if (!o.turn.empty()) {
        const auto turn = host::handOverTurn(opened->show, *context.library.sources(), mixes,
                                             ripple->id, o.tolerance);
        if (!turn)
            return passOn(turn.error());
        const bool table = std::filesystem::path(o.turn).extension() == ".csv";
        if (const auto done = writeFile(o.turn, table ? files::cueSheetCsv(turn->cues)
                                                      : files::asciiCuesText(turn->cues));
            !done)
            return passOn(done.error());
        put("{} cues for one turn of '{}' in {}\n", turn->cues.cues.size(), ripple->name, o.turn);
        return {};
    }
    const auto compiled =
        play::withWaysOfCues(std::make_shared<const play::Compiled>(play::compiled(
                                 {show::withRippleAlone(*opened->show, *ripple), show::emptyHand()},
                                 *context.library.sources(), mixes)),
                             ways);
    const play::Program& program = *compiled->program;
    std::vector<double> moments = o.at;
    std::sort(moments.begin(), moments.end());
    if (moments.empty()) {
        const double turn = program.ripples.front().times.turn_s;
        if (turn / o.step > kMostMoments)
            return fail(ErrorCode::BadValue,
                        ZELO_TEXT("core", "--step {}: must be above {} for a turn of {} s"), o.step,
                        turn / kMostMoments, turn);
        for (long i = 0; static_cast<double>(i) * o.step < turn + 1e-9; ++i)
            moments.push_back(static_cast<double>(i) * o.step);
    }
    play::Playing playing(compiled);
    playing.apply({play::Command::What::RippleStart, 0, 0, {}}, 0);
    Json all = Json::array();
    if (o.csv)
        put("t_s,lamp,u,v\n");
    for (const double t : moments) {
        playing.step(t);
        const play::Moment moment = playing.newest();
        Json lamps = Json::array();
        for (const auto id : ripple->lamps) {
            const auto lamp = compiled->lampOf(id);
            if (!lamp || !compiled->mixers[*lamp])
                continue;
            light::Drives drives(program.parts(*lamp), 0.0);
            std::copy_n(moment.shown.drives.data() + program.first[*lamp], drives.size(),
                        drives.begin());
            const auto xyz = compiled->mixers[*lamp]->xyzOf(drives);
            const int number = opened->show->fixture(id)->number;
            const bool seen = colour::hasChromaticity(xyz);
            const auto uv = seen ? colour::toUv(xyz) : colour::Uv{};
            if (o.csv)
                put("{:g},{},{}\n", t, number,
                    seen ? fmt::format("{:.5f},{:.5f}", uv.u, uv.v) : std::string(","));
            else if (context.json)
                lamps.push_back(
                    Json{{"number", number}, {"uv", seen ? uvJson(uv) : Json(nullptr)}});
            else
                put("{:>8.2f} s  lamp {:>3}  {}\n", t, number,
                    seen ? fmt::format("u′ v′ {:.4f} {:.4f}", uv.u, uv.v)
                         : std::string("no light"));
        }
        if (context.json)
            all.push_back(Json{{"t", t}, {"lamps", std::move(lamps)}});
    }
    if (context.json && !o.csv)
        put("{}\n",
            Json{{"turn_s", program.ripples.front().times.turn_s}, {"moments", std::move(all)}}
                .dump(1));
    return {};
}

} // namespace

void addRipple(CLI::App& app, Context& context) {
    auto* c = app.add_subcommand("ripple", "a kept ripple at moments, or one turn as a table");
    auto o = std::make_shared<RippleOptions>();
    c->add_option("SHOW", o->show, "the show (.zelo)")->required();
    c->add_option("NAME", o->name, "of the ripple")->required();
    c->add_option("--at", o->at, "seconds since it began; repeatable (one turn when left out)")
        ->check(CLI::Range(0.0, show::kLongest_s));
    c->add_option("--step", o->step, "of one turn, seconds")->capture_default_str();
    c->add_flag("--csv", o->csv, "a table: time, lamp, u', v'");
    c->add_option("--turn", o->turn,
                  "one turn as cues that follow one another, for another desk: a file (.asc; .csv: "
                  "a table of levels)");
    c->add_option("--tolerance", o->tolerance, "of these, Δu'v'")
        ->check(CLI::Range(0.001, 0.1))
        ->capture_default_str();
    c->add_option("--book", context.books, "another swatch book");
    c->add_flag("--json", context.json, "JSON on stdout");
    c->callback([&context, o] {
        context.show = o->show; // its types and palettes are known then
        context.run = [&context, o] { return printRipple(context, *o); };
    });
}

} // namespace zelo::cli
