// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/look_menu.h"

#include "desk/cues/cue_text.h"
#include "desk/kit/ask.h"
#include "desk/kit/qt_text.h"
#include "show/kept.h"

#include <QBuffer>
#include <QCoreApplication>
#include <QFileDialog>
#include <QImageReader>
#include <QMenu>

#include <algorithm>

namespace zelo::desk {

namespace {

struct Words {
    Q_DECLARE_TR_FUNCTIONS(LookMenu)
};
constexpr int kPicture = 240; // px, the longer side

void change(Document& document, show::LookId id, const QString& name,
            const std::function<void(show::Look&)>& edited) {
    const auto* now = document.show().lookOf(id);
    if (!now)
        return;
    show::Look next = *now;
    edited(next);
    document.edit(name, show::changeLook(document.state().show, std::move(next)));
}

// Its lamps in the order of a group that has all of them, else of the rig.
show::Lineup orderOf(const show::Show& show, const show::Look& look) {
    for (const auto& [id, group] : show.groups) {
        show::Lineup order;
        for (const auto lamp : group->fixtures)
            if (look.values.contains(lamp))
                order.push_back(lamp);
        if (order.size() == look.values.size())
            return order;
    }
    show::Lineup order;
    for (const auto& [lamp, value] : look.values)
        order.push_back(lamp);
    return order;
}

} // namespace

void showLook(Document& document, show::LookId id) {
    if (const auto* look = document.show().lookOf(id))
        document.showLook(Words::tr("Show look %1").arg(toQt(look->name)), id);
}

void lookOntoLineup(Document& document, show::LookId id) {
    const auto* look = document.show().lookOf(id);
    if (!look)
        return;
    if (document.lineup().empty())
        return document.tell(Words::tr("Choose lamps first: they take it in their order."));
    const auto onto =
        show::byOrder(look->values, orderOf(document.show(), *look), document.lineup());
    std::vector<show::Values::Change> all;
    for (const auto& [lamp, value] : onto)
        all.emplace_back(lamp, onto.item(lamp));
    document.setHand(
        Words::tr("Look %1 onto the lineup").arg(toQt(look->name)),
        std::make_shared<const show::Values>(document.state().hand->changed(std::move(all))));
}

void pictureFromFile(Document& document, show::LookId id, const QString& path) {
    struct Read {
        QByteArray bytes;
        QString trouble;
    };
    document.inBackground(
        Words::tr("Reading %1").arg(path), &document,
        [path](const std::stop_token&) -> Read {
            QImageReader reader(path);
            reader.setAutoTransform(true);
            constexpr int kLargest = 20'000; // px, of a side
            const QSize size = reader.size();
            if (size.width() > kLargest || size.height() > kLargest)
                return {{}, Words::tr("%1 is too large").arg(path)};
            if (size.isValid()) // a photo is never unpacked whole
                reader.setScaledSize(size.scaled(kPicture, kPicture, Qt::KeepAspectRatio));
            const QImage image = reader.read();
            if (image.isNull())
                return {{}, Words::tr("%1: %2").arg(path, reader.errorString())};
            Read read;
            QBuffer buffer(&read.bytes);
            buffer.open(QIODevice::WriteOnly);
            image.scaled(kPicture, kPicture, Qt::KeepAspectRatio, Qt::SmoothTransformation)
                .save(&buffer, image.hasAlphaChannel() ? "PNG" : "JPEG", 88);
            return read;
        },
        [&document, id](const Read& read) {
            if (!read.trouble.isEmpty())
                return document.tell(read.trouble);
            if (const auto* look = document.show().lookOf(id)) // not deleted since
                document.edit(
                    Words::tr("Picture of look %1").arg(toQt(look->name)),
                    show::pictureOfLook(document.state().show, id, read.bytes.toStdString()));
        });
}

void fillLookMenu(QMenu& menu, Document& document, show::LookId id, QWidget* window) {
    const auto* look = document.show().lookOf(id);
    if (!look)
        return;
    const QString name = toQt(look->name);
    const auto add = [&](const QString& text, const std::function<void()>& run) {
        auto* action = menu.addAction(text);
        QObject::connect(action, &QAction::triggered, window, run);
        return action;
    };
    add(Words::tr("Show it, in %1 s").arg(timeText(look->time_s)),
        [&document, id] { showLook(document, id); });
    add(Words::tr("Take it into the hand"), [&document, id, name] {
        if (const auto* l = document.show().lookOf(id))
            document.setHand(Words::tr("Look %1").arg(name),
                             show::withLook(document.state().hand, *l));
    });
    add(Words::tr("Onto the lineup, by order"), [&document, id] { lookOntoLineup(document, id); });
    menu.addSeparator();
    add(Words::tr("Time: %1 s…").arg(timeText(look->time_s)), [&document, id, name, window] {
        const auto* now = document.show().lookOf(id);
        askText(window, Words::tr("Time of a look"), Words::tr("In which it comes, s"),
                now ? timeText(now->time_s) : QString(),
                [&document, id, name](const QString& text) {
                    if (const auto t = timeIn(text))
                        change(document, id, Words::tr("Time of look %1").arg(name),
                               [&](show::Look& l) { l.time_s = *t; });
                    else
                        document.tell(Words::tr("“%1”: expected a time: 2.5, or 1:30").arg(text));
                });
    });
    add(Words::tr("A picture of one's own…"), [&document, id, window] {
        const auto path = QFileDialog::getOpenFileName(window, Words::tr("Picture of a look"), {},
                                                       Words::tr("Pictures (*.png *.jpg *.jpeg)"));
        if (!path.isEmpty())
            pictureFromFile(document, id, path);
    });
    add(Words::tr("Its small lamps again"), [&document, id, name] {
        document.edit(Words::tr("Picture of look %1").arg(name),
                      show::pictureOfLook(document.state().show, id, {}));
    })->setEnabled(look->picture != nullptr);
    menu.addSeparator();
    add(Words::tr("Rename…"), [&document, id, name, window] {
        askText(window, Words::tr("Rename"), Words::tr("Name"), name,
                [&document, id](const QString& next) {
                    if (!next.trimmed().isEmpty())
                        change(document, id, Words::tr("Rename look to %1").arg(next),
                               [&](show::Look& l) { l.name = fromQt(next.trimmed()); });
                });
    });
    const bool locked = look->locked;
    add(locked ? Words::tr("Unlock") : Words::tr("Lock"), [&document, id, name, locked] {
        change(document, id,
               locked ? Words::tr("Unlock look %1").arg(name) : Words::tr("Lock look %1").arg(name),
               [locked](show::Look& l) { l.locked = !locked; });
    });
    add(Words::tr("Delete"), [&document, id, name] {
        document.edit(Words::tr("Delete look %1").arg(name),
                      show::removeLook(document.state().show, id));
    });
}

void openLooks(Document& document, QWidget* window) {
    auto* menu = new QMenu(window);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->setTitle(Words::tr("Looks"));
    if (document.show().looks.empty())
        menu->addAction(Words::tr("No looks yet: K keeps one"))->setEnabled(false);
    for (const auto& [id, look] : document.show().looks)
        fillLookMenu(
            *menu->addMenu(toQt(look->name) + (look->locked ? Words::tr("  (locked)") : QString())),
            document, id, window);
    menu->popup(window->mapToGlobal(QPoint(300, 80)));
}

} // namespace zelo::desk
