// SPDX-License-Identifier: GPL-3.0-or-later
#include "base/text.h"
#include "colour/cct.h"
#include "colour/lamp.h"
#include "files/cgats.h"
#include "files/gdtf_reader.h"
#include "files/show_file.h"
#include "files/spectrum_file.h"
#include "files/swatch_book_file.h"
#include "light/levels.h"
#include "show/edits.h"
#include "support/places.h"
#include "support/vectors.h"

#include <filesystem>
#include <fstream>
#include <gtest/gtest.h>

namespace zelo::files {
namespace {

std::string shipped(const std::string& name) {
    return std::string(places::data) + "/" + name;
}

template <class T>
void expectError(const Result<T>& result, const std::string& says) {
    ASSERT_FALSE(result) << "expected: " << says;
    EXPECT_NE(result.error().text().find(says), std::string::npos) << result.error().text();
    EXPECT_EQ(result.error().text().find('\n'), std::string::npos) << "one line";
}

// --- spectra ---------------------------------------------------------------------------------

TEST(SpectrumFile, ThreeFormatsTellTheSame) {
    for (const char* name : {"cie-a", "cie-f11"}) {
        const auto csv = readLight(test::dataPath(fmt::format("reference/spectra/{}.csv", name)));
        const auto sp = readLight(test::dataPath(fmt::format("reference/spectra/{}.sp", name)));
        const auto tm = readLight(test::dataPath(fmt::format("reference/spectra/{}.spdx", name)));
        ASSERT_TRUE(csv && sp && tm) << name;
        for (std::size_t i = 0; i < colour::kGridSize; ++i) {
            EXPECT_NEAR((*csv)[i], (*sp)[i], 1e-6 * csv->largest());
            EXPECT_NEAR((*csv)[i], (*tm)[i], 1e-6 * csv->largest());
        }
    }
}

TEST(SpectrumFile, TakesTheTablesOfSpreadsheets) {
    for (const char* text : {"nm;W\n400;1\n500;2\n600;3\n", "400\t1\r\n500\t2\r\n600\t3\r\n",
                             "# made by hand\n400,1\n\n500,2\n600,3",
                             "\xEF\xBB\xBF"
                             "400,1\n500,2\n600,3"}) {
        const auto read = parseSpectrum(text);
        ASSERT_TRUE(read) << text;
        EXPECT_EQ(read->values, (std::vector<double>{1, 2, 3})) << text;
    }
}

TEST(SpectrumFile, SaysWhereItIsBroken) {
    expectError(parseSpectrum(""), "at least 3");
    expectError(parseSpectrum("400,1\n500,x\n600,3\n"), "line 2");
    expectError(parseSpectrum("400,1\n500,-2\n600,3\n"), "row 2");
    expectError(parseSpectrum("a,b\nc,d\n"), "line 2");
    expectError(parseSpectrum("<IESTM2714><SpectralDistribution>"), "TM-27 line 1");
    expectError(parseSpectrum("<other/>"), "IESTM27");
    expectError(parseSpectrum("<IESTM2720><SpectralDistribution><SpectralData wavelength='x'>1"
                              "</SpectralData></SpectralDistribution></IESTM2720>"),
                "SpectralData 1");
    expectError(readLight("/nowhere/lamp.csv"), "/nowhere/lamp.csv: no such file");
}

TEST(SpectrumFile, ComesBackFromEveryFormat) {
    colour::Samples uneven{{380.5, 400, 412.25, 555, 780}, {0, 1e-7, 0.123456789, 12345.678, 3}};
    for (const auto format : {TableFormat::Csv, TableFormat::Cgats, TableFormat::Tm27}) {
        const auto back = parseSpectrum(spectrumText(uneven, format, "a \"test\"\n<light>"));
        ASSERT_TRUE(back) << back.error().text();
        ASSERT_EQ(back->values.size(), uneven.values.size());
        for (std::size_t i = 0; i < uneven.values.size(); ++i) {
            EXPECT_NEAR(back->wavelengths_nm[i], uneven.wavelengths_nm[i], 1e-6);
            EXPECT_NEAR(back->values[i], uneven.values[i], 1e-8 * uneven.values[i] + 1e-15);
        }
    }
    EXPECT_EQ(*formatOf("x/Lamp.SPDX"), TableFormat::Tm27);
    expectError(formatOf("lamp.doc"), ".csv, .sp, .txt or .spdx");
}

TEST(SpectrumFile, Tm27KeepsItsHeaderAndQuantity) {
    const std::string text =
        "<tm:IESTM2714 xmlns:tm='http://www.ies.org/iestm2714' version='1.0'><tm:Header>"
        "<tm:Manufacturer>Skerry Works</tm:Manufacturer><tm:Description>A lamp</tm:Description>"
        "</tm:Header><tm:SpectralDistribution><tm:SpectralQuantity>radiance</tm:SpectralQuantity>"
        "<tm:BandwidthFWHM>5</tm:BandwidthFWHM><tm:SpectralData wavelength='400'>1"
        "</tm:SpectralData><tm:SpectralData wavelength='500'>2</tm:SpectralData>"
        "<tm:SpectralData wavelength='600'>3</tm:SpectralData></tm:SpectralDistribution>"
        "</tm:IESTM2714>";
    const auto table = parseSpectrumTable(text);
    ASSERT_TRUE(table) << table.error().text();
    EXPECT_EQ(table->samples.values, (std::vector<double>{1, 2, 3})) << "whatever the prefix";
    const auto written = spectrumText(*table, TableFormat::Tm27, "converted");
    EXPECT_NE(written.find("<IESTM2720"), std::string::npos);
    EXPECT_NE(written.find("<Manufacturer>Skerry Works<"), std::string::npos);
    EXPECT_NE(written.find("<Description>A lamp<"), std::string::npos);
    EXPECT_NE(written.find("<SpectralQuantity>radiance<"), std::string::npos);
    EXPECT_LT(written.find("<BandwidthFWHM>5<"), written.find("<SpectralData"));
    const auto back = parseSpectrumTable(written);
    ASSERT_TRUE(back) << back.error().text();
    EXPECT_EQ(back->header, table->header);
    EXPECT_EQ(back->distribution, table->distribution);
    EXPECT_NE(spectrumText(table->samples, TableFormat::Tm27, "own").find("relative"),
              std::string::npos);
}

TEST(SpectrumFile, WhatLiesBeyondTheVisibleIsCutAndTold) {
    const auto path = std::filesystem::temp_directory_path() / "zelo-wide.csv";
    std::ofstream(path) << "350,1\n500,2\n830,3\n";
    std::vector<Sentence> notes;
    ASSERT_TRUE(readLight(path, &notes));
    ASSERT_EQ(notes.size(), 1u);
    EXPECT_NE(notes[0].english().find("350–830 nm"), std::string::npos) << notes[0].english();
    std::ofstream(path) << "380,1\n500,2\n780,3\n";
    notes.clear();
    ASSERT_TRUE(readLight(path, &notes));
    EXPECT_TRUE(notes.empty());
    std::filesystem::remove(path);
}

TEST(SwatchBook, ComesBackFromEveryFormat) {
    const auto book = readSwatchBook(test::dataPath("reference/gels.txt"));
    ASSERT_TRUE(book);
    for (const auto format : {TableFormat::Csv, TableFormat::Cgats}) {
        const auto back = parseSwatchBook(*swatchBookText(book->book, format));
        ASSERT_TRUE(back) << back.error().text();
        ASSERT_EQ(back->book.gels.size(), book->book.gels.size());
        for (std::size_t g = 0; g < book->book.gels.size(); ++g) {
            EXPECT_EQ(back->book.gels[g].id, book->book.gels[g].id);
            EXPECT_EQ(back->book.gels[g].name, book->book.gels[g].name);
            for (std::size_t i = 0; i < colour::kGridSize; ++i)
                EXPECT_NEAR(back->book.gels[g].transmittance[i],
                            book->book.gels[g].transmittance[i], 1e-6);
        }
    }
    EXPECT_FALSE(swatchBookText(book->book, TableFormat::Tm27));
}

// --- CGATS and swatch books ------------------------------------------------------------------

TEST(Cgats, ReadsQuotesCommentsAndRowsOverLines) {
    const auto table =
        parseCgats("CGATS.17\nORIGINATOR \"A \"\n# note\nBEGIN_DATA_FORMAT\nSAMPLE_ID "
                   "SAMPLE_NAME\nEND_DATA_FORMAT\nBEGIN_DATA\n1 \"two words\" 2\n"
                   "three # rest\nEND_DATA\n");
    ASSERT_TRUE(table) << table.error().text();
    ASSERT_EQ(table->rows.size(), 2u);
    EXPECT_EQ(table->rows[0][1], "two words");
    EXPECT_EQ(table->rows[1][1], "three");
    EXPECT_EQ(table->row_lines[1], 8);
}

TEST(ShowFile, ANumberBeyondAllBoundsIsAnErrorLikeAnother) {
    expectError(parseShow("{\"format\": \"zelochrome-show\", \"version\": 1e999}"), "too large");
}

TEST(Cgats, OfTwoTablesTheFirstIsRead) {
    const std::string first = "CGATS.17\nBEGIN_DATA_FORMAT\nSAMPLE_ID A\nEND_DATA_FORMAT\n"
                              "BEGIN_DATA\n1 2\nEND_DATA\n";
    const auto table = parseCgats(first + "BEGIN_DATA_FORMAT\nB C D\nEND_DATA_FORMAT\n"
                                          "BEGIN_DATA\n3 4 5 6 7\nEND_DATA\n");
    ASSERT_TRUE(table);
    EXPECT_EQ(table->fields.size(), 2u);
    EXPECT_EQ(table->rows.size(), 1u);
    expectError(parseCgats("CGATS.17\nBEGIN_DATA_FORMAT\nA\nEND_DATA_FORMAT\n"
                           "BEGIN_DATA_FORMAT\nB\nEND_DATA_FORMAT\n"),
                "line 5");
}

TEST(Cgats, AKeywordNeedsNoValueAndLettersNeedNotBeLarge) {
    const auto table = parseCgats("SPECT\nDESCRIPTOR \"x\"\nEMPTY\nNUMBER_OF_FIELDS 4\nLAST\n"
                                  "BEGIN_DATA_FORMAT\nSAMPLE_ID nm400 nm500 spectral_nm600\n"
                                  "END_DATA_FORMAT\nBEGIN_DATA\n1 0.1 0.2 0.3\nEND_DATA\n");
    ASSERT_TRUE(table) << table.error().text();
    EXPECT_EQ(table->keywords.at("EMPTY"), "");
    EXPECT_EQ(table->keywords.at("NUMBER_OF_FIELDS"), "4");
    EXPECT_EQ(table->fields.size(), 4u);
    const auto columns = spectralColumns(*table);
    ASSERT_TRUE(columns) << columns.error().text();
    EXPECT_EQ(columns->wavelengths_nm, (std::vector<double>{400, 500, 600}));
}

TEST(Cgats, SaysWhereItIsBroken) {
    expectError(parseCgats(""), "empty");
    expectError(parseCgats("CGATS.17\nDESCRIPTOR \"open\n"), "line 2");
    expectError(parseCgats("CGATS.17\nBEGIN_DATA_FORMAT\nA B\n"), "END_DATA_FORMAT");
    expectError(parseCgats("X\nBEGIN_DATA_FORMAT\nA B\nEND_DATA_FORMAT\nBEGIN_DATA\n1 2\n"),
                "cut short");
    expectError(
        parseCgats("X\nBEGIN_DATA_FORMAT\nA B\nEND_DATA_FORMAT\nBEGIN_DATA\n1 2\n3\nEND_DATA"),
        "left over");
    expectError(
        parseCgats("X\nNUMBER_OF_SETS 3\nBEGIN_DATA_FORMAT\nA\nEND_DATA_FORMAT\nBEGIN_DATA\n"
                   "1 2\nEND_DATA"),
        "says 3");
}

std::string bookWith(const std::string& rows) {
    return "CGATS.17\nBEGIN_DATA_FORMAT\nSAMPLE_ID SAMPLE_NAME SPECTRAL_NM400 SPECTRAL_NM500 "
           "SPECTRAL_NM600 SPECTRAL_NM700\nEND_DATA_FORMAT\nBEGIN_DATA\n" +
           rows + "END_DATA\n";
}

TEST(SwatchBook, PercentIsTakenAsPercentAndSaid) {
    const auto read = parseSwatchBook(bookWith("1 a 10 20 30 80\n2 b 1 1 1 1\n"));
    ASSERT_TRUE(read);
    EXPECT_NEAR(read->book.find("1")->transmittance.at(700), 0.8, 1e-12);
    EXPECT_NEAR(read->book.find("2")->transmittance.at(500), 0.01, 1e-12);
    ASSERT_EQ(read->notes.size(), 1u);
    EXPECT_NE(read->notes[0].english().find("percent"), std::string::npos);
}

TEST(SwatchBook, CsvIsReadToo) {
    const auto read =
        parseSwatchBook("id,name,400,500,600\n7,\"Blue, deep\",0.8,0.2,0.1\n8,Clear,0.9,0.9,0.9\n");
    ASSERT_TRUE(read) << read.error().text();
    EXPECT_EQ(read->book.find("7")->name, "Blue, deep");
}

TEST(SwatchBook, ABadRowFailsWithItsLine) {
    expectError(parseSwatchBook(bookWith("1 a 0.1 0.2 x 0.4\n")), "line 6");
    expectError(parseSwatchBook(bookWith("1 a 0.1 -0.2 0.3 0.4\n")), "gel 1");
    expectError(parseSwatchBook(bookWith("1 a .1 .2 .3 .4\n1 b .1 .2 .3 .4\n")), "line 7");
    expectError(parseSwatchBook("id,name,400,500,600\n7,a,0.8,0.2\n"), "line 2");
    expectError(parseSwatchBook("id,name\n"), "3 or more wavelengths");
    expectError(parseSwatchBook(bookWith("")), "no gels");
}

TEST(SwatchBook, TheOneThatShipsCoversTheCircle) {
    const auto read = readSwatchBook(shipped("gels/salt-road.txt"));
    ASSERT_TRUE(read) << read.error().text();
    EXPECT_GE(read->book.gels.size(), 150u);
    EXPECT_EQ(read->book.find("214")->name, "Apricot");
    std::set<int> directions;
    const auto lamp = colour::lampOf({5600});
    const auto white = colour::toUv(colour::toXyz(lamp));
    std::set<std::string> names;
    for (const auto& gel : read->book.gels) {
        EXPECT_TRUE(names.insert(gel.name).second) << gel.name << " is there twice";
        EXPECT_GE(gel.id.size(), 1u);
        EXPECT_LE(gel.transmittance.largest(), 0.93);
        const auto off = colour::toUv(colour::toXyz(lamp * gel.transmittance)) - white;
        if (std::hypot(off.u, off.v) > 0.03)
            directions.insert(static_cast<int>(std::floor(std::atan2(off.v, off.u) / 0.5236)));
    }
    EXPECT_EQ(directions.size(), 12u) << "some hue is in no gel";
    // A whole warm correction takes 5600 K to about 3200 K: 134 mired.
    const auto warm = colour::cctOf(colour::toUv(
        colour::toXyz(colour::blackbody({5600}) * read->book.find("605")->transmittance)));
    ASSERT_TRUE(warm);
    EXPECT_NEAR(1e6 / warm->cct.value, 1e6 / 5600 + 134, 4);
}

// --- GDTF ------------------------------------------------------------------------------------

std::string gdtf(const std::string& emitters, const std::string& profiles,
                 const std::string& channels) {
    return "<GDTF><FixtureType Name='T' LongName='Test' Manufacturer='M'><PhysicalDescriptions>"
           "<Emitters>" +
           emitters + "</Emitters><DMXProfiles>" + profiles +
           "</DMXProfiles></PhysicalDescriptions><DMXModes><DMXMode Name='m'><DMXChannels>" +
           channels + "</DMXChannels></DMXMode></DMXModes></FixtureType></GDTF>";
}

std::string emitter(const std::string& name, const std::string& inside) {
    return "<Emitter Name='" + name + "'><Measurement Physical='100' LuminousIntensity='500'>" +
           inside + "</Measurement></Emitter>";
}

const std::string kPoints =
    "<MeasurementPoint WaveLength='500' Energy='0'/><MeasurementPoint "
    "WaveLength='550' Energy='2'/><MeasurementPoint WaveLength='600' Energy='0'/>";

std::string channel(const std::string& offset, const std::string& attribute,
                    const std::string& extra = {}) {
    return "<DMXChannel Offset='" + offset + "' Highlight='255/1'><LogicalChannel Attribute='" +
           attribute + "'><ChannelFunction Attribute='" + attribute + "' Default='65535/2' " +
           extra + "/></LogicalChannel></DMXChannel>";
}

TEST(Gdtf, ReadsWhatDrivesTheLight) {
    const auto type =
        parseGdtf(gdtf(emitter("Green", kPoints),
                       "<DMXProfile Name='sq'><Point DMXPercentage='0' CFC0='0' CFC1='0' "
                       "CFC2='0.01' CFC3='0'/>"
                       "</DMXProfile>",
                       channel("3,4", "ColorAdd_G", "Emitter='Green' DMXProfile='sq'") +
                           channel("1,2", "Dimmer")),
                  R"({"emitters": {"Green": {"power_w": 12.5}}})");
    ASSERT_TRUE(type) << type.error().text();
    EXPECT_EQ(type->name, "Test");
    EXPECT_NEAR(type->emitters[0].xyz().Y, 500, 1e-9) << "LuminousIntensity scales the energies";
    EXPECT_EQ(type->emitters[0].power_w, 12.5);
    const auto& mode = type->modes[0];
    EXPECT_EQ(mode.footprint, 4);
    EXPECT_EQ(mode.channels[0].role, light::Role::Dimmer) << "channels stand by their offset";
    EXPECT_EQ(mode.channels[1].home, 65535u);
    EXPECT_EQ(mode.channels[1].highlight, 65535u) << "255/1 means full at any width";
    EXPECT_NEAR(mode.channels[1].response.drive(0.5), 0.25, 1e-9);
}

TEST(Gdtf, AnEmitterKnownByItsColourIsModelledAndMarked) {
    const auto type = parseGdtf(gdtf("<Emitter Name='White' Color='0.33,0.34,900'/>"
                                     "<Emitter Name='Red' Color='0,0,0' DominantWaveLength='630'/>",
                                     "", channel("1", "ColorAdd_W", "Emitter='White'")));
    ASSERT_TRUE(type) << type.error().text();
    EXPECT_TRUE(type->emitters[0].modelled && type->emitters[1].modelled);
    const auto xy = colour::toXy(type->emitters[0].xyz());
    EXPECT_NEAR(xy.x, 0.33, 1e-6);
    EXPECT_NEAR(xy.y, 0.34, 1e-6);
    EXPECT_NEAR(type->emitters[0].xyz().Y, 900, 1e-6);
    EXPECT_EQ(type->emitters[1].spectrum.peakNm(), 630);
    EXPECT_GE(type->notes.size(), 2u);
}

TEST(Gdtf, BreaksStandOneBehindTheOther) {
    auto second = channel("1", "Pan");
    second.insert(second.find("Offset"), "DMXBreak='2' ");
    const auto type = parseGdtf(gdtf(emitter("Green", kPoints), "",
                                     channel("3", "ColorAdd_G", "Emitter='Green'") + second));
    ASSERT_TRUE(type) << type.error().text();
    ASSERT_EQ(type->modes[0].channels.size(), 2u);
    EXPECT_EQ(type->modes[0].footprint, 4);
    EXPECT_EQ(type->modes[0].channels[1].attribute, "Pan");
    EXPECT_EQ(type->modes[0].channels[1].offsets, std::vector<int>{4});
    EXPECT_NE(type->notes.back().english().find("at 3 above its address"), std::string::npos);
}

TEST(Gdtf, ReadsWheelsFlagsAndWhatTheirChannelsMean) {
    const std::string filter =
        "<Filter Name='Red'><Measurement Physical='100'><MeasurementPoint WaveLength='400' "
        "Energy='10'/><MeasurementPoint WaveLength='500' Energy='20'/><MeasurementPoint "
        "WaveLength='600' Energy='90'/></Measurement></Filter>";
    auto text = gdtf(
        emitter("Lamp", kPoints), "",
        "<DMXChannel Offset='1'><LogicalChannel><ChannelFunction Attribute='ColorSub_C' "
        "Filter='Red' "
        "PhysicalFrom='1' PhysicalTo='0'/></LogicalChannel></DMXChannel>"
        "<DMXChannel Offset='2'><LogicalChannel><ChannelFunction Attribute='Color1' Wheel='W' "
        "DMXFrom='0/1'><ChannelSet DMXFrom='0/1' WheelSlotIndex='1'/><ChannelSet DMXFrom='100/1' "
        "WheelSlotIndex='2'/></ChannelFunction><ChannelFunction Attribute='Spin' DMXFrom='200/1'/>"
        "</LogicalChannel></DMXChannel>");
    text.replace(text.find("</Emitters>"), 11, "</Emitters><Filters>" + filter + "</Filters>");
    text.replace(text.find("<PhysicalDescriptions>"), 22,
                 "<Wheels><Wheel Name='W'><Slot Name='Open'/><Slot Name='Red' "
                 "Filter='Red'/></Wheel></Wheels><PhysicalDescriptions>");
    text.replace(text.find("<DMXModes>"), 10,
                 "<Geometries><Beam EmitterSpectrum='Lamp'/></Geometries><DMXModes>");
    const auto type = parseGdtf(text);
    ASSERT_TRUE(type) << type.error().text();
    ASSERT_EQ(type->flags.size(), 1u);
    EXPECT_NEAR(type->flags[0].transmittance(1)[20], 0.1, 1e-9) << "percent, since a value says so";
    EXPECT_TRUE(type->emitters[0].source);
    const auto& mode = type->modes[0];
    const auto at = [&](std::uint32_t flag, std::uint32_t wheel) {
        return light::drivesOf(*type, mode, {flag, wheel});
    };
    EXPECT_NEAR(at(0, 0)[1], 1, 1e-12) << "0 drives this one all in";
    EXPECT_NEAR(at(255, 0)[1], 0, 1e-12);
    EXPECT_EQ(type->wheels[0].nameAt(at(0, 99)[2]), "Open");
    EXPECT_EQ(type->wheels[0].nameAt(at(0, 150)[2]), "Red");
    EXPECT_EQ(type->wheels[0].nameAt(at(0, 230)[2]), "Open") << "another function: it rests";
}

TEST(Gdtf, SaysWhatIsWrongAndWhere) {
    const auto green = emitter("Green", kPoints);
    const auto one = channel("1", "ColorAdd_G", "Emitter='Green'");
    expectError(parseGdtf("<GDTF>\n<FixtureType>\n</GDTF>"), "line");
    expectError(parseGdtf("<other/>"), "expected <GDTF>");
    expectError(parseGdtf(gdtf("", "", channel("1", "Dimmer"))), "no emitters");
    expectError(parseGdtf(gdtf(green, "", "")), "no channels");
    expectError(readGdtf("/nowhere/x"), "/nowhere/x");
    expectError(readGdtf(test::dataPath("reference/ciede2000.csv")), "not a GDTF archive");
}

TEST(Gdtf, TheTypesThatShip) {
    struct Shipped {
        const char* id;
        std::size_t emitters;
        int bits;
        bool dimmer;
    };
    for (const auto& s : {Shipped{"petrel-4", 4, 8, true}, Shipped{"tern-6", 6, 8, false},
                          Shipped{"gannet-8", 8, 16, true}}) {
        const auto type = readGdtf(shipped(std::string("fixtures/") + s.id));
        ASSERT_TRUE(type) << type.error().text();
        EXPECT_EQ(type->id, s.id);
        EXPECT_EQ(type->emitters.size(), s.emitters);
        EXPECT_EQ(type->modes[0].channels.back().bits(), s.bits);
        EXPECT_EQ(type->modes[0].dimmer().has_value(), s.dimmer);
        EXPECT_TRUE(type->notes.empty()) << s.id << ": " << type->notes.front();
        for (const auto& e : type->emitters) {
            EXPECT_FALSE(e.modelled);
            EXPECT_GT(e.power_w, 0) << e.name;
        }
    }
}

TEST(SwatchBook, InLatin1HasItsNamesAllTheSame) {
    const auto read = parseSwatchBook("id,name,400,500,600\n7,Caf\xe9 cr\xe8me,1,0.9,1\n");
    ASSERT_TRUE(read) << read.error().text();
    EXPECT_EQ(read->book.gels[0].name, "Café crème");
}

// --- shows -----------------------------------------------------------------------------------

const char* const kSmallShow = R"({"format": "zelochrome-show", "version": 1, "name": "S",
 "fixtures": [{"id": 3, "number": 7, "type": "petrel-4", "universe": 2, "address": 11,
   "place": {"x_m": -1.5, "y_m": 2, "z_m": 6, "aim_deg": 30}, "lens": "narrow"}],
 "groups": [{"id": 2, "name": "g", "fixtures": [3], "key": "F1"}],
 "look": [{"fixture": 3, "intensity": 0.5, "colour": {"asked": "gel:214@3200", "uv": [0.3, 0.54],
   "intent": "brightest", "give_up": 0.1, "keep_out": ["Red"], "pins": {"White": 0.25}}}],
 "hand": [{"fixture": 3, "drives": [0, 0.5, 1, 0.25]}],
 "venue": {"doors": [1, 2]}})";

TEST(ShowFile, ComesBackAsItWas) {
    const auto first = parseShow(kSmallShow);
    ASSERT_TRUE(first) << first.error().text();
    const auto& show = *first->show;
    EXPECT_EQ(show.fixture({3})->place.aim_deg, 30);
    EXPECT_EQ(show.standing.at({3})->colour->here()->pins[0].second, 0.25);
    EXPECT_EQ(first->hand->at({3})->parts.at("#3"), 1)
        << "by its place, until the type tells its name";
    const std::string text = *showText(show, *first->hand);
    const auto second = parseShow(text);
    ASSERT_TRUE(second) << second.error().text();
    EXPECT_EQ(*showText(*second->show, *second->hand), text);
    EXPECT_EQ(*second->show->fixture({3}), *show.fixture({3}));
    EXPECT_EQ(*second->show->standing.at({3}), *show.standing.at({3}));
    EXPECT_EQ(*second->hand->at({3}), *first->hand->at({3}));
}

TEST(ShowFile, KeepsMembersItDoesNotKnow) {
    const auto opened = parseShow(kSmallShow);
    ASSERT_TRUE(opened);
    const auto json = nlohmann::json::parse(*showText(*opened->show, *opened->hand));
    EXPECT_EQ(json["venue"]["doors"][1], 2);
    EXPECT_EQ(json["fixtures"][0]["lens"], "narrow");
    EXPECT_EQ(json["groups"][0]["key"], "F1");
}

TEST(ShowFile, RefusesOthersAndNewerOnesClearly) {
    expectError(parseShow("{}"), "not a Zelochrome show");
    expectError(parseShow(R"({"format": "other", "version": 1})"), "not a Zelochrome show");
    const auto newer = parseShow(
        fmt::format(R"({{"format": "zelochrome-show", "version": {}}})", kShowVersion + 1));
    expectError(newer, "newer");
    EXPECT_EQ(newer.error().code, ErrorCode::Unsupported);
    expectError(parseShow("{\n \"format\": \"zelochrome-show\",\n oops"), "line 3");
    expectError(parseShow(""), "line 1");
    expectError(parseShow("[]"), "not a Zelochrome show");
}

TEST(ShowFile, NamesThePlaceOfABadValue) {
    struct Case {
        const char* from;
        const char* to;
        const char* says;
    };
    const Case cases[] = {
        {"\"address\": 11", "\"address\": 700", "fixtures[0].address: 700"},
        {"\"address\": 11", "\"address\": 1.5", "fixtures[0].address"},
        {"\"universe\": 2", "\"universe\": \"2\"", "fixtures[0].universe"},
        {"\"id\": 3", "\"id\": 0", "fixtures[0].id"},
        {"\"type\": \"petrel-4\"", "\"type\": 4", "fixtures[0].type"},
        {"\"intensity\": 0.5", "\"intensity\": 1.5", "look[0].intensity"},
        {"\"brightest\"", "\"loudest\"", "look[0].colour.intent"},
        {"\"White\": 0.25", "\"White\": 2", "look[0].colour.pins.White"},
        {"[0, 0.5, 1, 0.25]", "[0, 0.5, 7, 0.25]", "hand[0].drives[2]"},
    };
    for (const auto& c : cases) {
        std::string text = kSmallShow;
        const auto at = text.find(c.from);
        ASSERT_NE(at, std::string::npos) << c.from;
        text.replace(at, std::string(c.from).size(), c.to);
        expectError(parseShow(text), c.says);
    }
}

TEST(ShowFile, TheDemoShowIsWhole) {
    const auto opened = readShow(shipped("shows/salt-lanterns.zelo"));
    ASSERT_TRUE(opened) << opened.error().text();
    const auto& show = *opened->show;
    EXPECT_EQ(show.name, "The Salt Lanterns");
    EXPECT_GE(show.fixtures.size(), 40u);
    EXPECT_GE(show.groups.size(), 5u);
    std::map<std::pair<int, int>, int> slots;
    for (const auto& [id, f] : show.fixtures) {
        const auto type = readGdtf(shipped("fixtures/" + f->type));
        ASSERT_TRUE(type) << f->type;
        const auto* mode = type->mode(f->mode);
        ASSERT_TRUE(mode) << f->mode;
        for (int s = 0; s < mode->footprint; ++s)
            EXPECT_TRUE(slots.emplace(std::pair(f->universe, f->address + s), id.value).second)
                << "fixture " << id.value << " overlaps " << slots[{f->universe, f->address + s}];
        EXPECT_LE(f->address + mode->footprint - 1, 512);
        EXPECT_TRUE(show.standing.contains(id));
    }
}

TEST(ShowFile, DamagedTextIsNeverAHalfShow) { // cut and stirred at many places
    const std::string whole = kSmallShow;
    for (std::size_t cut = 0; cut < whole.size(); ++cut)
        EXPECT_FALSE(parseShow(whole.substr(0, cut))) << cut;
    for (std::size_t at = 0; at < whole.size(); at += 3) {
        std::string stirred = whole;
        stirred[at] = static_cast<char>(stirred[at] ^ 0x15);
        const auto read = parseShow(stirred); // may still be a show; must not crash
        if (!read)
            EXPECT_FALSE(read.error().text().empty());
    }
}

} // namespace
} // namespace zelo::files
