// SPDX-License-Identifier: GPL-3.0-or-later
// Whatever a file holds: reading or refusing it takes bounded memory, ends soon, and never aborts.
#include "base/text.h"
#include "files/archive.h"
#include "files/ascii_cues.h"
#include "files/gdtf_reader.h"
#include "files/gdtf_writer.h"
#include "files/mvr.h"
#include "files/palette_file.h"
#include "files/show_file.h"
#include "files/spectrum_file.h"
#include "files/swatch_book_file.h"
#include "mix/rounding.h"
#include "show/edits.h"
#include "show/kept.h"
#include "show/patch.h"
#include "support/asked.h"
#include "support/places.h"

#include <chrono>
#include <fstream>
#include <gtest/gtest.h>
#include <malloc.h>
#include <set>
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

namespace zelo::files {
namespace {

constexpr std::size_t kMega = 1u << 20;

std::string repeated(const std::string& piece, std::size_t bytes, const std::string& head = {}) {
    std::string block;
    while (block.size() < 4096)
        block += piece;
    std::string text = head;
    text.reserve(bytes + block.size());
    while (text.size() < bytes)
        text += block;
    return text;
}

long residentMega() {
    long pages = 0;
    long resident = 0;
    std::ifstream("/proc/self/statm") >> pages >> resident;
    return resident * ::sysconf(_SC_PAGESIZE) / static_cast<long>(kMega);
}

// Runs it in a process of its own and holds what that took against the bounds.
void costs(const char* what, const std::function<void()>& run) {
    ::malloc_trim(0);
    const long before = residentMega(); // the child begins with it
    const auto began = std::chrono::steady_clock::now();
    const pid_t child = ::fork();
    if (child == 0) {
        run();
        std::_Exit(0);
    }
    int status = 0;
    struct rusage used {};
    ::wait4(child, &status, 0, &used);
    const auto took = std::chrono::steady_clock::now() - began;
    EXPECT_TRUE(WIFEXITED(status) && WEXITSTATUS(status) == 0) << what << " ended the program";
    const long mega = used.ru_maxrss / 1024 - before + 64; // and the file itself
    const auto ms = std::chrono::duration_cast<std::chrono::milliseconds>(took).count();
    std::printf("[ figures  ] %-44s %5ld ms %4ld MB\n", what, static_cast<long>(ms), mega);
#if !defined(__SANITIZE_ADDRESS__) && !defined(__SANITIZE_THREAD__)
    EXPECT_LE(mega, 500) << what;
    EXPECT_LE(ms, 20'000) << what << ": a guard; the aim is 5 s";
#endif
}

const std::string kHead = R"({"format": "zelochrome-show", "version": 3, "name": "S", )";

TEST(Hostile, Json) {
    const auto read = [](const std::string& text) { return [text] { (void)parseShow(text); }; };
    costs("200 KB of [", read(std::string(200'000, '[')));
    costs("64 MB of [", read(std::string(64 * kMega, '[')));
    costs("64 MB of {\"a\":", read(repeated("{\"a\":", 64 * kMega)));
    std::string names = kHead;
    for (int i = 0; names.size() < 5 * kMega; ++i)
        names += "\"n" + std::to_string(i) + "\": 0, ";
    costs("5 MB of distinct names", read(names + "\"x\": 0}"));
    costs("64 MB of numbers", read(repeated("0,", 64 * kMega, kHead + "\"x\": [") + "0]}"));
    costs("64 MB of objects", read(repeated("{\"\":0},", 64 * kMega, kHead + "\"x\": [") + "0]}"));
    costs("64 MB of one text",
          read(repeated("lantern ", 64 * kMega - 200, kHead + "\"note\": \"") + "\"}"));
    EXPECT_FALSE(parseShow(std::string(200'000, '[')));
    const auto deep =
        parseShow(kHead + "\"x\": " + std::string(100, '[') + std::string(100, ']') + "}");
    ASSERT_FALSE(deep);
    EXPECT_EQ(deep.error().code, ErrorCode::TooLarge);
}

TEST(Hostile, TwentyThousandLampsAtOneAddress) {
    std::string text = kHead + "\"fixtures\": [";
    for (int i = 1; i <= 20'000; ++i)
        text += (i > 1 ? "," : "") + fmt::format("{{\"id\": {}, \"type\": \"t\"}}", i);
    costs("20 000 lamps at one address, and their faults", [text = text + "]}"] {
        const auto opened = parseShow(text);
        const auto faults =
            show::patchFaults(*opened->show, [](const show::Fixture&) { return 8; });
        if (faults.clashes.size() != 19'999) // each is told once
            std::_Exit(1);
    });
}

std::string mvrOf(const std::string& children, const Files& more = {}) {
    Files files = more;
    files["GeneralSceneDescription.xml"] =
        "<GeneralSceneDescription verMajor=\"1\" verMinor=\"6\"><Scene><Layers><Layer><ChildList>" +
        children + "</ChildList></Layer></Layers></Scene></GeneralSceneDescription>";
    return *zipped(files);
}

std::string lampAt(int number, double x_mm, const std::string& type = "tern-6") {
    return fmt::format("<Fixture name=\"l{0}\"><Matrix>{{1,0,0}}{{0,1,0}}{{0,0,1}}{{{1},0,0}}"
                       "</Matrix><GDTFSpec>{2}.gdtf</GDTFSpec><FixtureID>{0}</FixtureID>"
                       "<Addresses><Address break=\"0\">{0}</Address></Addresses></Fixture>",
                       number, x_mm, type);
}

TEST(Hostile, RigsOfTwentyThousandLamps) {
    std::string lamps;
    for (int i = 1; i <= 20'000; ++i)
        lamps += lampAt(i, i);
    costs("MVR with 20 000 lamps, into a show", [bytes = mvrOf(lamps)] {
        auto rig = parseMvr(bytes);
        const auto show =
            show::addFixtures(std::make_shared<const show::Show>(), std::move(rig->fixtures));
        if ((*show)->fixtures.size() != 20'000)
            std::_Exit(1);
    });
    EXPECT_FALSE(parseMvr(mvrOf(lamps + lampAt(20'001, 0))));
}

TEST(Hostile, ArchivesOfZerosInArchives) {
    const std::string zeros(31 * kMega, '\0');
    const auto inner =
        *zipped({{"description.xml", "<GDTF/>"}, {"a.bin", zeros}, {"b.bin", zeros}});
    Files types;
    std::string lamps;
    for (int i = 1; i <= 40; ++i) {
        types[fmt::format("t{}.gdtf", i)] = inner;
        lamps += lampAt(i, 0, fmt::format("t{}", i));
    }
    costs("MVR with 40 types of zeros", [bytes = mvrOf(lamps, types)] { (void)parseMvr(bytes); });
}

TEST(Hostile, TablesAndCues) {
    const auto cues = [](std::string text) {
        return [text = std::move(text)] { (void)parseAsciiCues(text); };
    };
    costs("64 MB of cues", cues(repeated("Cue 1\nUp 5\n", 64 * kMega, "Ident 3:0\n")));
    costs("64 MB of levels in one line",
          cues(repeated("1@50 ", 64 * kMega, "Ident 3:0\nCue 1\nChan ")));
    costs("64 MB of empty lines", cues(std::string(64 * kMega, '\n')));
    const auto book = [](std::string text) {
        return [text = std::move(text)] { (void)parseSwatchBook(text); };
    };
    std::string rows = "id,name,400,500,600\n";
    for (int i = 0; rows.size() < 64 * kMega; ++i)
        rows += std::to_string(i) + ",a,1,1,1\n";
    costs("64 MB of gels", book(rows));
    costs("64 MB of commas", book(repeated(",", 64 * kMega, "id,name")));
    costs("64 MB of CGATS words", book(repeated("1 ", 64 * kMega, "CGATS.17\nBEGIN_DATA\n")));
    costs("64 MB of palettes", [text = repeated("1 2 3 x\n", 64 * kMega, "GIMP Palette\n")] {
        (void)parsePalettes(text);
    });
    costs("64 MB of palette columns",
          [text = repeated("a,", 64 * kMega, "name,u',v',")] { (void)parsePalettes(text); });
    costs("64 MB of elements",
          [text = repeated("<a/>", 64 * kMega, "<IESTM2714>")] { (void)parseSpectrum(text); });
    costs("64 MB of nested elements",
          [text = repeated("<a>", 64 * kMega, "<GDTF>")] { (void)parseGdtf(text, {}); });
    costs("64 MB of spectrum rows",
          [text = repeated("400,1\n", 64 * kMega)] { (void)parseSpectrum(text); });
}

// A rig in the coordinates of a country, numbers beyond all numbers.
TEST(Rigs, FarAwayAndWithHugeNumbersComeInWhole) {
    const auto far = parseMvr(mvrOf(lampAt(1, 20'000'000) + lampAt(2, 20'004'000)));
    ASSERT_TRUE(far) << far.error().text();
    EXPECT_NEAR(far->fixtures[1].place.x_m - far->fixtures[0].place.x_m, 4, 1e-6);
    EXPECT_NEAR(far->fixtures[0].place.x_m, -2, 1e-6);
    ASSERT_EQ(far->notes.size(), 1u);
    EXPECT_NE(far->notes[0].english().find("20002 m"), std::string::npos)
        << far->notes[0].english();
    auto text = lampAt(1, 0);
    text.replace(text.find("<FixtureID>1<"), 13, "<FixtureID>2000000000<");
    const auto huge = parseMvr(mvrOf(text));
    ASSERT_TRUE(huge);
    EXPECT_EQ(huge->fixtures[0].number, 1);
    EXPECT_NE(huge->notes[0].english().find("2000000000"), std::string::npos);
    for (const auto& rig : {far, huge}) // what came in can be saved, and opened
        EXPECT_TRUE(checkShowText(*showText(
            **show::addFixtures(std::make_shared<const show::Show>(), rig->fixtures), {})));
}

// --- numbers at the edge of what numbers can hold ------------------------------------------------

const char* const kEdges[] = {"5e-324", "1e308", "-1e308", "nan", "0", "1e30"};

void useIt(const light::FixtureType& type) {
    const auto shared = std::make_shared<const light::FixtureType>(type);
    {
        const mix::Mixer mixer(shared, shared->modes[0]);
        for (const auto& uv : {colour::Uv{0.21, 0.47}, colour::Uv{0.45, 0.52}}) {
            const auto mix = mixer.solve(light::wantedUv(uv), {});
            (void)mix::rounded(mixer, mix.drives, 0.5);
        }
    }
    if (const auto bytes = zipped(gdtfFiles(type)))
        (void)typeOfFiles(*unzipped(*bytes, "own"));
}

TEST(Hostile, NumbersAtTheEdgeInFixtureTypes) {
    int read = 0;
    int refused = 0;
    for (const char* name : {"gannet-8", "eider-1000"}) {
        std::ifstream in(std::string(places::data) + "/fixtures/" + name + "/description.xml");
        const std::string whole{std::istreambuf_iterator<char>(in), {}};
        ASSERT_FALSE(whole.empty());
        std::set<std::string> seen; // an attribute of each kind, and of each some
        std::map<std::string, int> times;
        for (std::size_t at = whole.find("=\""); at != std::string::npos;
             at = whole.find("=\"", at + 1)) {
            const auto end = whole.find('"', at + 2);
            const auto key = whole.substr(whole.rfind(' ', at), at - whole.rfind(' ', at));
            if (!toNumber(whole.substr(at + 2, end - at - 2)) || ++times[key] > 1)
                continue;
            for (const char* edge : kEdges) {
                auto text = whole;
                text.replace(at + 2, end - at - 2, edge);
                const auto type = parseGdtf(text, {});
                ++(type ? read : refused);
                if (type)
                    useIt(*type);
            }
        }
    }
    EXPECT_GT(read, 50);
    EXPECT_LT(refused, read) << "one bad number spoils its part, not the file";
}

TEST(Hostile, NumbersAtTheEdgeInSpectraAndShows) {
    for (const char* edge : kEdges) {
        for (const char* form :
             {"400,{0}\n500,1\n600,1\n", "400,{0}\n500,{0}\n600,{0}\n", "{0},1\n500,1\n600,1\n",
              "400,1\n401,{0}\n402,1\n403,1\n404,1\n405,1\n"}) {
            std::string text = form;
            for (auto at = text.find("{0}"); at != std::string::npos; at = text.find("{0}"))
                text.replace(at, 3, edge);
            if (const auto samples = parseSpectrum(text)) {
                const auto light = colour::lightFromSamples(*samples);
                (void)colour::filterFromSamples(*samples);
                if (light) {
                    const auto show =
                        show::keepMeasured(std::make_shared<const show::Show>(), "l", *light);
                    if (show)
                        EXPECT_TRUE(checkShowText(*showText(**show, {}))) << text;
                }
            }
        }
        for (const char* member :
             {"\"white_cct_k\": {}",
              "\"fixtures\": [{{\"id\": 1, \"type\": \"t\", \"place\": {{\"x_m\": {}}}}}]",
              "\"colours\": [{{\"asked\": \"cct:3200\", \"uv\": [{}, 0.5]}}]",
              "\"colours\": [{{\"asked\": \"xy:{},{}\"}}]",
              "\"colours\": [{{\"asked\": \"gel:1@{}\"}}]", "\"hand\": [{{\"fixtures\": [{}]}}]",
              "\"stage\": {{\"outline\": [[{}, 0], [1, 0], [1, 1]]}}"})
            (void)parseShow(kHead + fmt::format(fmt::runtime(member), edge, edge) + "}");
    }
}

} // namespace
} // namespace zelo::files
