// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/explain.h"

namespace zelo::desk {

namespace {

// Panels whose page is not that of the view they stand in.
struct PanelPage {
    const char* panel;
    const char* page;
};
constexpr PanelPage kPages[] = {
    {"SwatchPanel", "match.md"},
    {"SkinPanel", "camera.md"},
    {"CameraForm", "camera.md"},
    {"ReadingsPanel", "numbers.md"},
    {"FullReadings", "numbers.md"},
    {"ReachMap", "numbers.md"},
    {"CalibrationView", "calibrate.md"},
    {"ConvertForm", "two-types.md"},
    {"CheckPanel", "dark-lamp.md"},
    {"FaderBank", "faders.md"},
    {"LookButtons", "faders.md"},
    {"RigSide", "rig.md"},
    {"RigView", "rig.md"},
    {"MatchView", "match.md"},
    {"SplitField", "match.md"},
    {"SplitWindow", "match.md"},
    {"GradientView", "gradient.md"},
    {"GradientSide", "gradient.md"},
    {"StopTrack", "gradient.md"},
    {"StepBars", "gradient.md"},
    {"CrossfadeView", "fade.md"},
    {"CrossfadeSide", "fade.md"},
    {"CuesView", "cues.md"},
    {"CueWindow", "cues.md"},
    {"StageWindow", "cues.md"},
    {"RippleView", "ripples.md"},
    {"RippleSide", "ripples.md"},
    {"LineupPanel", "two-types.md"},
    {"RemotePage", "outside.md"},
    {"SettingsPage", "index.md"},
    {"KeySheet", "index.md"},
};

QString asSentence(QString text) {
    text = text.trimmed();
    return text.isEmpty() || text.endsWith('.') || text.endsWith('?') ? text : text + '.';
}

} // namespace

QString pageOfView(int view) {
    constexpr const char* kOfView[] = {"rig.md",  "match.md", "gradient.md",
                                       "fade.md", "cues.md",  "ripples.md"};
    return QLatin1String(kOfView[std::clamp(view, 0, 5)]);
}

Explained explained(QWidget* control, int view) {
    Explained found;
    found.page = pageOfView(view);
    QWidget* says = control;
    while (says && says->toolTip().isEmpty())
        says = says->parentWidget();
    if (!says)
        return found;
    found.of = says;
    const QString name = says->accessibleName();
    found.text = asSentence(name.isEmpty() ? says->toolTip()
                                           : QStringLiteral("%1: %2").arg(name, says->toolTip()));
    for (const QWidget* panel = says; panel; panel = panel->parentWidget()) {
        // Without its namespace.
        const QByteArrayView name_of(panel->metaObject()->className());
        for (const PanelPage& p : kPages)
            if (name_of.endsWith(p.panel) && name_of.size() > qsizetype(qstrlen(p.panel)) &&
                name_of[name_of.size() - qsizetype(qstrlen(p.panel)) - 1] == ':') {
                found.page = QLatin1String(p.page);
                return found;
            }
    }
    return found;
}

} // namespace zelo::desk
