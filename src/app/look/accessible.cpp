// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/accessible.h"

#include <QAccessibleActionInterface>
#include <QAccessibleWidget>
#include <vector>

namespace hillrun {
namespace {

class PictureInterface : public QAccessibleWidget {
public:
    explicit PictureInterface(QWidget* widget) : QAccessibleWidget(widget, QAccessible::Graphic) {}
    [[nodiscard]] QString text(QAccessible::Text what) const override {
        const auto* picture = dynamic_cast<const SpokenPicture*>(widget());
        if (picture && what == QAccessible::Name)
            return picture->spokenName();
        if (picture && (what == QAccessible::Description || what == QAccessible::Value))
            return picture->spokenText();
        return QAccessibleWidget::text(what);
    }
};

class ItemInterface : public QAccessibleInterface, public QAccessibleActionInterface {
public:
    ItemInterface(QWidget& widget, int index) : m_widget(widget), m_index(index) {}
    [[nodiscard]] bool isValid() const override { return items() && m_index < items()->spokenCount(); }
    [[nodiscard]] QObject* object() const override { return nullptr; }
    [[nodiscard]] QAccessibleInterface* childAt(int, int) const override { return nullptr; }
    [[nodiscard]] QAccessibleInterface* parent() const override {
        return QAccessible::queryAccessibleInterface(&m_widget);
    }
    [[nodiscard]] QAccessibleInterface* child(int) const override { return nullptr; }
    [[nodiscard]] int childCount() const override { return 0; }
    int indexOfChild(const QAccessibleInterface*) const override { return -1; }
    [[nodiscard]] QString text(QAccessible::Text what) const override {
        return what == QAccessible::Name && isValid() ? items()->spokenItem(m_index) : QString();
    }
    void setText(QAccessible::Text, const QString&) override {}
    [[nodiscard]] QRect rect() const override {
        if (!isValid())
            return {};
        const QRect inside = items()->spokenRect(m_index);
        return {m_widget.mapToGlobal(inside.topLeft()), inside.size()};
    }
    [[nodiscard]] QAccessible::Role role() const override { return QAccessible::ListItem; }
    [[nodiscard]] QAccessible::State state() const override {
        QAccessible::State out;
        out.selectable = true;
        out.selected = isValid() && items()->spokenChosen(m_index);
        out.invisible = !m_widget.isVisible();
        return out;
    }
    void* interface_cast(QAccessible::InterfaceType type) override {
        return type == QAccessible::ActionInterface ? static_cast<QAccessibleActionInterface*>(this) : nullptr;
    }
    [[nodiscard]] QStringList actionNames() const override { return {pressAction()}; }
    void doAction(const QString&) override {
        if (isValid())
            items()->chooseSpoken(m_index);
    }
    [[nodiscard]] QStringList keyBindingsForAction(const QString&) const override { return {}; }

private:
    [[nodiscard]] SpokenItems* items() const { return dynamic_cast<SpokenItems*>(&m_widget); }
    QWidget& m_widget;
    int m_index;
};

class ItemsInterface : public QAccessibleWidget {
public:
    explicit ItemsInterface(QWidget* widget) : QAccessibleWidget(widget, QAccessible::List) {}
    ~ItemsInterface() override {
        for (const QAccessible::Id id : m_ids)
            QAccessible::deleteAccessibleInterface(id);
    }
    [[nodiscard]] int childCount() const override {
        const auto* items = dynamic_cast<const SpokenItems*>(widget());
        return items ? items->spokenCount() : 0;
    }
    [[nodiscard]] QAccessibleInterface* child(int index) const override {
        if (index < 0 || index >= childCount())
            return nullptr;
        while (m_ids.size() <= static_cast<size_t>(index))
            m_ids.push_back(
                QAccessible::registerAccessibleInterface(new ItemInterface(*widget(), static_cast<int>(m_ids.size()))));
        return QAccessible::accessibleInterface(m_ids[static_cast<size_t>(index)]);
    }
    [[nodiscard]] QAccessibleInterface* childAt(int x, int y) const override {
        for (int i = 0; i < childCount(); ++i)
            if (child(i)->rect().contains(x, y))
                return child(i);
        return nullptr;
    }
    int indexOfChild(const QAccessibleInterface* sought) const override {
        for (int i = 0; i < childCount(); ++i)
            if (child(i) == sought)
                return i;
        return -1;
    }

private:
    mutable std::vector<QAccessible::Id> m_ids; ///< interfaces are made when they are asked for
};

QAccessibleInterface* spoken(const QString&, QObject* object) {
    auto* widget = qobject_cast<QWidget*>(object);
    if (!widget)
        return nullptr;
    if (dynamic_cast<SpokenItems*>(widget))
        return new ItemsInterface(widget);
    if (dynamic_cast<SpokenPicture*>(widget))
        return new PictureInterface(widget);
    return nullptr;
}

} // namespace

void installSpokenWidgets() {
    QAccessible::removeFactory(spoken);
    QAccessible::installFactory(spoken);
}

void speakNow(QWidget* about) {
    QAccessibleEvent event(about, QAccessible::Alert);
    QAccessible::updateAccessibility(&event);
}

} // namespace hillrun
