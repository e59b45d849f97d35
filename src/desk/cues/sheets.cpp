// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/sheets.h"

#include "desk/cues/cue_text.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/shown_light.h"

#include <QCoreApplication>

namespace zelo::desk {

namespace {
struct Words {
    Q_DECLARE_TR_FUNCTIONS(Sheets)
};
} // namespace

Sheet cuesOnPaper(const CueModel& model) {
    Sheet sheet;
    sheet.title = model.list() ? toQt(model.list()->name) : QString();
    sheet.columns = {{Words::tr("cue"), 12, true},    {Words::tr("name"), 44},
                     {Words::tr("looks"), 52},        {Words::tr("up"), 11, true},
                     {Words::tr("down"), 11, true},   {Words::tr("delay"), 12, true},
                     {Words::tr("colour"), 13, true}, {Words::tr("follow"), 13, true},
                     {Words::tr("route"), 22},        {Words::tr("note"), 0}};
    sheet.bars_column = 2;
    constexpr CueCell kCells[] = {CueCell::Number, CueCell::Name,   CueCell::Looks,
                                  CueCell::Up,     CueCell::Down,   CueCell::Delay,
                                  CueCell::Colour, CueCell::Follow, CueCell::Route};
    const auto routes = [&](show::RouteId id) { return model.routeName(id); };
    if (!model.list())
        return sheet;
    for (const auto& [number, cue] : model.list()->cues) {
        SheetRow row;
        for (const CueCell cell : kCells)
            row.cells << cellText(*cue, cell, routes);
        row.cells << toQt(cue->note);
        if (const auto* lamps = model.picture(number))
            for (const auto& block : model.blocks())
                for (std::size_t i = 0; i < block.count; ++i) {
                    const auto& lamp = (*lamps)[block.first + i];
                    row.bars.push_back({colour::hasChromaticity(lamp.at_full)
                                            ? model.document().colours().of(lamp.at_full)
                                            : QColor(),
                                        lamp.intensity, i == 0});
                }
        sheet.rows.push_back(std::move(row));
    }
    return sheet;
}

Sheet coloursOnPaper(const Document& document) {
    Sheet sheet;
    sheet.title = Words::tr("Palettes");
    sheet.columns = {{QString(), 12},
                     {Words::tr("name"), 50},
                     {Words::tr("asked for"), 0},
                     {Words::tr("intensity"), 20, true},
                     {QStringLiteral("u′"), 18, true},
                     {QStringLiteral("v′"), 18, true}};
    for (const auto& [id, palette] : document.show().palettes) {
        SheetRow row;
        row.cells << QString() << toQt(palette->name);
        std::optional<colour::Uv> uv;
        if (palette->colour) {
            const auto wanted = document.wanted(palette->colour->asked);
            uv = wanted ? (*wanted)->uv() : palette->colour->uv;
            row.cells << said(light::inWords(palette->colour->asked));
        } else {
            row.cells << (palette->gradient ? Words::tr("a gradient") : QString());
        }
        row.cells << (palette->intensity
                          ? Words::tr("%1 %").arg(numberText(100 * *palette->intensity, 0))
                          : QString());
        if (uv) {
            row.cells << numberText(uv->u, 4) << numberText(uv->v, 4);
            row.swatch = colourOfLight(document.colours(), *uv);
        }
        sheet.rows.push_back(std::move(row));
    }
    return sheet;
}

Sheet patchOnPaper(const Document& document) {
    Sheet sheet;
    sheet.title = Words::tr("Patch");
    sheet.columns = {{Words::tr("lamp"), 14, true},
                     {Words::tr("label"), 30},
                     {Words::tr("type"), 40},
                     {Words::tr("mode"), 34},
                     {Words::tr("universe"), 20, true},
                     {Words::tr("address"), 18, true},
                     {Words::tr("note"), 0}};
    for (const auto& [id, f] : document.show().fixtures) {
        const auto type = document.library().type(f->type);
        SheetRow row;
        row.cells << QString::number(f->number) << toQt(f->label)
                  << (type ? toQt(type->name) : toQt(f->type)) << toQt(f->mode)
                  << QString::number(f->universe) << QString::number(f->address) << toQt(f->note);
        sheet.rows.push_back(std::move(row));
    }
    return sheet;
}

} // namespace zelo::desk
