// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/cues/stage_view.h"

#include "desk/kit/draw.h"
#include "desk/kit/figures.h"
#include "desk/kit/qt_text.h"
#include "desk/kit/watch.h"
#include "show/kept.h"

#include <QContextMenuEvent>
#include <QFileDialog>
#include <QKeyEvent>
#include <QMenu>
#include <QMouseEvent>
#include <QPainter>
#include <QSaveFile>

#include <algorithm>

namespace zelo::desk {

namespace {

constexpr int kPixels = 400 * 225;
constexpr double kExposure =
    3.2;                        // a stage with every lamp at its most would be so far beyond white
constexpr double kStep_m = 0.1; // of a figure, by keys
constexpr const char* kSkin = "olive";
constexpr const char* kCloth = "linen";

colour::Spectrum reflectanceOf(const light::SwatchBook& surfaces, const char* id) {
    const light::Gel* found = surfaces.find(id);
    return found ? found->transmittance : colour::Spectrum::flat(0.4);
}

} // namespace

QImage pictureOf(const play::StagePicture& picture, const play::Stage& stage,
                 const light::SwatchBook& surfaces, const LightColours& colours, double bright) {
    const auto skin = reflectanceOf(surfaces, kSkin);
    const auto cloth = reflectanceOf(surfaces, kCloth);
    std::vector<play::PictureLamp> lamps;
    for (const auto& lamp : stage.lamps)
        lamps.push_back(play::pictureLamp(lamp, skin, cloth, colours.camera()));
    std::vector<colour::Xyz> light;
    picture.light(lamps, light);
    QImage image(picture.width(), picture.height(), QImage::Format_RGB32);
    const double scale = bright > 0 ? kExposure / bright : 0;
    for (int y = 0; y < picture.height(); ++y) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
        for (int x = 0; x < picture.width(); ++x) {
            const colour::Xyz& here = light[static_cast<std::size_t>(y * picture.width() + x)];
            const double v = scale * here.Y;
            if (!(v > 1e-5)) {
                line[x] = qRgb(0, 0, 0);
                continue;
            }
            // What is bright comes nearer to white and never beyond; hue stays.
            const double shown = v / (1 + v);
            line[x] = colours.surface(shown / here.Y * here).rgb();
        }
    }
    return image;
}

StageView::StageView(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), key_(fmt::format("stage {}", fmt::ptr(this))) {
    setAccessibleName(tr("Stage picture"));
    setToolTip(tr("The light of all lamps on floor, cyc and figures, as it is now. Figures can be "
                  "dragged; arrows move the chosen one, Page Down chooses another. Right click to "
                  "save it, or for a window of its own."));
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_OpaquePaintEvent);
    watch(document_, this, Change::Rig | Change::Types, [this] { build(); });
    watch(document_, this, Change::Light | Change::Seen, [this] { light(); });
    build();
}

void StageView::build() {
    if (picture_ && picture_->shows(document_.show())) {
        bright_ = 0; // lamps of other types may give other light
        return light();
    }
    struct Built {
        std::shared_ptr<const play::StagePicture> picture;
        double bright = 0;
    };
    document_.later((key_ + " picture").c_str(), this,
                    [show = document_.state().show, stage = document_.stagePtr()] {
                        Built built{std::make_shared<const play::StagePicture>(*show, kPixels), 0};
                        std::vector<double> most;
                        for (const auto& [id, f] : show->fixtures) {
                            const auto* lamp = stage->lamp(id);
                            most.push_back(lamp ? play::mostOf(*lamp) : 0);
                        }
                        built.bright = built.picture->brightWith(most);
                        return built;
                    },
                    [this](const Built& built) {
                        picture_ = built.picture;
                        bright_ = built.bright;
                        light();
                    });
}

// One at a time: what comes meanwhile is looked at once that is done.
void StageView::light() {
    if (!picture_)
        return;
    if (!(bright_ > 0)) { // it was built before there was a stage
        std::vector<double> most;
        for (const auto& lamp : document_.stage().lamps)
            most.push_back(play::mostOf(lamp));
        bright_ = picture_->brightWith(most);
    }
    late_ = computing_;
    if (computing_)
        return;
    computing_ = true;
    document_.later((key_ + " light").c_str(), this,
                    [picture = picture_, stage = document_.stagePtr(),
                     colours = document_.colours(), bright = bright_,
                     &library = document_.library()] {
                        return pictureOf(*picture, *stage, library.surfaces(), colours, bright);
                    },
                    [this](const QImage& image) {
                        image_ = image;
                        computing_ = false;
                        update();
                        if (late_)
                            light();
                    });
}

QRect StageView::pictureRect() const {
    const QSize size = QSize(16, 9).scaled(this->size(), Qt::KeepAspectRatioByExpanding);
    return {QPoint((width() - size.width()) / 2, (height() - size.height()) / 2), size};
}

void StageView::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), Qt::black);
    if (document_.show().fixtures.empty())
        return void(drawWrapped(p, rect().adjusted(24, 24, -24, -24),
                                tr("No lamps yet: add some in Rig."), typeface(Type::Work),
                                QColor(0x92, 0x92, 0x92)));
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    p.drawImage(pictureRect(), image_);
    if (hasFocus())
        drawFocusBrackets(p, rect().adjusted(3, 3, -3, -3));
}

std::optional<std::pair<double, double>> StageView::shareAt(const QPointF& pos) const {
    const QRect r = pictureRect();
    if (r.isEmpty())
        return std::nullopt;
    return std::pair((pos.x() - r.left()) / r.width(), (pos.y() - r.top()) / r.height());
}

void StageView::mousePressEvent(QMouseEvent* event) {
    const auto at = shareAt(event->position());
    if (event->button() != Qt::LeftButton || !at || !picture_)
        return;
    dragged_ = picture_->figureAt(at->first, at->second);
    if (dragged_) {
        chosen_ = *dragged_;
        gesture_.begin();
    }
}

void StageView::mouseMoveEvent(QMouseEvent* event) {
    const auto at = shareAt(event->position());
    if (dragged_ && at && picture_)
        if (const auto to = picture_->floorAt(at->first, at->second))
            moveFigure(document_, *dragged_, *to, gesture_.now());
}

void StageView::mouseReleaseEvent(QMouseEvent*) {
    dragged_.reset();
}

bool StageView::claims(const QKeyEvent& key) const {
    return isArrow(key) || key.key() == Qt::Key_PageDown || key.key() == Qt::Key_PageUp;
}

void StageView::keyPressEvent(QKeyEvent* event) {
    const auto figures = play::figuresOf(document_.show());
    if (!claims(*event) || figures.empty())
        return QWidget::keyPressEvent(event);
    chosen_ = std::min(chosen_, figures.size() - 1);
    if (event->key() == Qt::Key_PageDown || event->key() == Qt::Key_PageUp) {
        chosen_ = (chosen_ + (event->key() == Qt::Key_PageDown ? 1 : figures.size() - 1)) %
                  figures.size();
        return;
    }
    show::Point to = figures[chosen_];
    const double step = event->modifiers() & Qt::ControlModifier ? 10 * kStep_m : kStep_m;
    to.x_m += event->key() == Qt::Key_Left ? -step : event->key() == Qt::Key_Right ? step : 0;
    to.y_m += event->key() == Qt::Key_Down ? -step : event->key() == Qt::Key_Up ? step : 0;
    moveFigure(document_, chosen_, to, gesture_.step());
}

std::vector<PaintedPart> StageView::parts() {
    std::vector<PaintedPart> all;
    const auto figures = play::figuresOf(document_.show());
    for (std::size_t i = 0; i < figures.size(); ++i)
        all.push_back(
            {tr("Figure %1").arg(i + 1),
             tr("%1 m, %2 m").arg(numberText(figures[i].x_m, 1), numberText(figures[i].y_m, 1)),
             rect(), QAccessible::ListItem, i == chosen_, [this, i] { chosen_ = i; }});
    return all;
}

void StageView::savePicture(const QString& path) {
    const QString file = path.endsWith(".png", Qt::CaseInsensitive) ? path : path + ".png";
    document_.inBackground(
        tr("Writing %1").arg(file), this,
        [image = image_.scaled(1600, 900, Qt::IgnoreAspectRatio, Qt::SmoothTransformation),
         file](const std::stop_token& stop) {
            if (stop.stop_requested())
                return true;
            QSaveFile to(file); // what was there stays until all is written
            return to.open(QIODevice::WriteOnly) && image.save(&to, "PNG") && to.commit();
        },
        [this, file](bool saved) {
            document_.tell(saved ? tr("The picture is at %1.").arg(file)
                                 : tr("%1 cannot be written").arg(file));
        });
}

void StageView::askSave() {
    const auto path =
        QFileDialog::getSaveFileName(this, tr("Save the stage picture"),
                                     toQt(document_.show().name) + ".png", tr("Pictures (*.png)"));
    if (!path.isEmpty())
        savePicture(path);
}

void StageView::contextMenuEvent(QContextMenuEvent* event) {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    connect(menu->addAction(tr("Save the picture…")), &QAction::triggered, this,
            &StageView::askSave);
    connect(menu->addAction(tr("In a window of its own")), &QAction::triggered, this,
            &StageView::windowWanted);
    const auto figures = play::figuresOf(document_.show());
    const auto keep = [this](std::vector<show::Point> all, const QString& name) {
        const auto& show = document_.show();
        show::StagePlan plan = show.stage ? *show.stage : show::StagePlan{};
        plan.figures = std::move(all);
        document_.edit(name, show::changeStage(document_.state().show, plan));
    };
    connect(menu->addAction(tr("One more figure")), &QAction::triggered, this, [=, this] {
        auto all = figures;
        all.push_back({figures.back().x_m + 0.8, figures.back().y_m});
        keep(all, tr("Add a figure"));
    });
    auto* fewer = menu->addAction(tr("One figure less"));
    fewer->setEnabled(figures.size() > 1);
    connect(fewer, &QAction::triggered, this, [=, this] {
        auto all = figures;
        all.erase(all.begin() + static_cast<std::ptrdiff_t>(std::min(chosen_, all.size() - 1)));
        keep(all, tr("Remove a figure"));
    });
    menu->popup(event->globalPos());
}

StageWindow::StageWindow(Document& document, QWidget* parent)
    : OwnWindow("stage", tr("Stage picture"), {960, 540}, parent),
      view_(new StageView(document, this)) {
    view_->setGeometry(rect());
}

void StageWindow::resizeEvent(QResizeEvent*) {
    view_->setGeometry(rect());
}

} // namespace zelo::desk
