// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/accessible.h"

#include "desk/kit/qt_text.h"
#include "desk/kit/text_log.h"
#include "desk/kit/value_control.h"

#include <QAccessibleWidget>
#include <QWidget>

namespace zelo::desk {

namespace {

// One of the things that a widget paints.
class Part : public QAccessibleInterface, public QAccessibleActionInterface {
public:
    Part(QWidget* widget, int index) : widget_(widget), index_(index) {}

    bool isValid() const override { return widget_ && now().has_value(); }
    QObject* object() const override { return nullptr; }
    QAccessibleInterface* parent() const override {
        return QAccessible::queryAccessibleInterface(widget_);
    }
    QAccessibleInterface* child(int) const override { return nullptr; }
    int childCount() const override { return 0; }
    int indexOfChild(const QAccessibleInterface*) const override { return -1; }
    QAccessibleInterface* childAt(int, int) const override { return nullptr; }
    QString text(QAccessible::Text which) const override {
        const auto part = now();
        return !part                         ? QString()
               : which == QAccessible::Name  ? part->name
               : which == QAccessible::Value ? part->value
                                             : QString();
    }
    void setText(QAccessible::Text, const QString&) override {}
    QRect rect() const override {
        const auto part = now();
        return part ? QRect(widget_->mapToGlobal(part->place.topLeft()), part->place.size())
                    : QRect();
    }
    QAccessible::Role role() const override {
        const auto part = now();
        return part ? part->role : QAccessible::NoRole;
    }
    QAccessible::State state() const override {
        QAccessible::State state;
        const auto part = now();
        state.selectable = true;
        state.selected = part && part->chosen;
        state.focusable = true;
        state.invisible = !widget_ || !widget_->isVisible();
        return state;
    }
    void* interface_cast(QAccessible::InterfaceType type) override {
        return type == QAccessible::ActionInterface ? static_cast<QAccessibleActionInterface*>(this)
                                                    : nullptr;
    }
    QStringList actionNames() const override {
        const auto part = now();
        return part && part->press ? QStringList{pressAction()} : QStringList();
    }
    void doAction(const QString& name) override {
        if (const auto part = now(); part && part->press && name == pressAction())
            part->press();
    }
    QStringList keyBindingsForAction(const QString&) const override { return {}; }

private:
    std::optional<PaintedPart> now() const {
        auto* has = dynamic_cast<HasParts*>(widget_.data());
        if (!has)
            return std::nullopt;
        return has->part(static_cast<std::size_t>(index_));
    }
    QPointer<QWidget> widget_;
    int index_;
};

// A panel that paints words and numbers: they are its description.
class Painted : public QAccessibleWidget {
public:
    explicit Painted(QWidget* widget, QAccessible::Role role = QAccessible::Grouping)
        : QAccessibleWidget(widget, role) {}
    QString text(QAccessible::Text which) const override {
        if (which != QAccessible::Description)
            return QAccessibleWidget::text(which);
        const QString told = widget()->accessibleDescription();
        return told.isEmpty() ? paintedBy(*widget()) : told;
    }
};

// Its widgets first, then the things it paints.
class WithParts : public Painted {
public:
    explicit WithParts(QWidget* widget) : Painted(widget, QAccessible::List) {}
    ~WithParts() override {
        for (const auto id : ids_)
            QAccessible::deleteAccessibleInterface(id);
    }
    int childCount() const override {
        return QAccessibleWidget::childCount() + static_cast<int>(count());
    }
    QAccessibleInterface* child(int index) const override {
        const int own = QAccessibleWidget::childCount();
        if (index < own)
            return QAccessibleWidget::child(index);
        const auto at = static_cast<std::size_t>(index - own);
        if (at >= count())
            return nullptr;
        while (ids_.size() <= at)
            ids_.push_back(QAccessible::registerAccessibleInterface(
                new Part(widget(), static_cast<int>(ids_.size()))));
        return QAccessible::accessibleInterface(ids_[at]);
    }
    int indexOfChild(const QAccessibleInterface* child) const override {
        for (std::size_t i = 0; i < ids_.size(); ++i)
            if (QAccessible::accessibleInterface(ids_[i]) == child)
                return QAccessibleWidget::childCount() + static_cast<int>(i);
        return QAccessibleWidget::indexOfChild(child);
    }
    QAccessibleInterface* childAt(int x, int y) const override {
        for (int i = childCount(); i-- > 0;)
            if (auto* part = child(i); part && part->rect().contains(x, y))
                return part;
        return QAccessibleWidget::childAt(x, y);
    }

private:
    std::size_t count() const { return dynamic_cast<HasParts*>(widget())->partCount(); }
    mutable std::vector<QAccessible::Id> ids_;
};

// A number with its limits and its unit.
class Value : public QAccessibleWidget, public QAccessibleValueInterface {
public:
    explicit Value(ValueControl* control)
        : QAccessibleWidget(control, QAccessible::Slider), control_(control) {}

    void* interface_cast(QAccessible::InterfaceType type) override {
        return type == QAccessible::ValueInterface ? static_cast<QAccessibleValueInterface*>(this)
                                                   : QAccessibleWidget::interface_cast(type);
    }
    QString text(QAccessible::Text which) const override {
        if (which != QAccessible::Value)
            return QAccessibleWidget::text(which);
        return (numberText(control_->value(), control_->range().decimals) + ' ' + control_->unit())
            .trimmed();
    }
    QVariant currentValue() const override { return control_->value(); }
    void setCurrentValue(const QVariant& value) override { control_->take(value.toDouble()); }
    QVariant maximumValue() const override { return control_->range().most; }
    QVariant minimumValue() const override { return control_->range().least; }
    QVariant minimumStepSize() const override { return control_->range().step; }

private:
    ValueControl* control_;
};

// Of ours, and no more than a widget to Qt.
bool isPanel(const QWidget& widget) {
    for (const auto* is = widget.metaObject(); is; is = is->superClass())
        if (!QByteArray(is->className()).startsWith("zelo::"))
            return is == &QWidget::staticMetaObject && is != widget.metaObject() &&
                   !widget.isWindow();
    return false;
}

QAccessibleInterface* make(const QString&, QObject* object) {
    if (auto* control = qobject_cast<ValueControl*>(object))
        return new Value(control);
    auto* widget = qobject_cast<QWidget*>(object);
    if (widget && dynamic_cast<HasParts*>(widget))
        return new WithParts(widget);
    return widget && isPanel(*widget) ? new Painted(widget) : nullptr;
}

} // namespace

std::optional<PaintedPart> HasParts::part(std::size_t index) {
    auto all = parts();
    return index < all.size() ? std::optional(std::move(all[index])) : std::nullopt;
}

void installAccessibility() {
    static const bool once = [] {
        QAccessible::installFactory(make);
        return true;
    }();
    (void)once;
}

} // namespace zelo::desk
